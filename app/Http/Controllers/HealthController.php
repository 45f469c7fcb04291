<?php

namespace App\Http\Controllers;

use App\Live\Channel;
use App\Live\ChannelDown;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use PDOException;

/** Answers 200 when the database and the live channel work. */
class HealthController extends Controller
{
    public function __invoke(Channel $channel): JsonResponse
    {
        $wrong = [];
        try {
            DB::table('shows')->limit(1)->count();
        } catch (PDOException $failure) {
            $wrong['database'] = 'The database does not answer.';
        }
        try {
            $channel->publish('health', ['type' => 'health']);
        } catch (ChannelDown $failure) {
            $wrong['live'] = $failure->getMessage();
        }

        return response()->json(['ok' => $wrong === [], 'wrong' => $wrong], $wrong === [] ? 200 : 503);
    }
}
