<?php

namespace App\Http\Controllers;

use App\Models\ApiToken;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Keys for other programs, made and withdrawn by the person they act for. */
class TokenController extends Controller
{
    public function index(Request $request): View
    {
        return view('tokens', ['tokens' => ApiToken::query()->where('user_id', $this->person($request)->id)->orderBy('id')->get()]);
    }

    public function store(Request $request): RedirectResponse
    {
        $asked = $request->validate(['name' => ['required', 'string', 'max:80']], ['name.*' => 'Write what the token is for, in at most 80 letters.']);

        return back()->with('token', ApiToken::issue($this->person($request), $asked['name']));
    }

    public function destroy(Request $request, int $token): RedirectResponse
    {
        ApiToken::query()->where('user_id', $this->person($request)->id)->whereKey($token)->delete();

        return back();
    }
}
