<?php

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\Request;
use LogicException;

abstract class Controller
{
    use AuthorizesRequests;

    protected function person(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new LogicException('This route must require a person.');
    }
}
