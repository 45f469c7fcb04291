<?php

namespace App\Http\Controllers;

use App\Models\Show;
use Illuminate\Http\Response;

/** nginx asks here whether somebody may listen to a show. */
class LiveController extends Controller
{
    public function __invoke(Show $show): Response
    {
        return response()->noContent(200);
    }
}
