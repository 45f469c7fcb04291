<?php

namespace App\Http\Controllers;

use App\Live\Presence;
use App\Models\Show;
use App\Models\User;
use App\Shows\Role;
use App\Shows\ShowState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Rhetorix\Core\Support\Refusal;

/** Who belongs to a show, what they may do, and who is here. */
class PeopleController extends Controller
{
    /** Minutes for which a lead can take the desk alone. */
    private const ALONE = [5, 15, 60];

    public function __construct(private readonly Presence $presence)
    {
    }

    public function page(Request $request, Show $show, ShowState $state): View
    {
        return view('people', [
            'show' => $show,
            'here' => 'people',
            'state' => $state->of($show),
            'mayOperate' => $this->person($request)->can('operate', $show),
            'isLead' => $this->person($request)->can('lead', $show),
            'me' => $this->person($request),
            'people' => $show->people()->orderBy('name')->get(),
            'roles' => Role::cases(),
            'alone' => self::ALONE,
        ]);
    }

    public function here(Request $request, Show $show): JsonResponse
    {
        $asked = $request->validate(['tab' => ['required', 'uuid'], 'device' => ['required', 'string', 'max:200'], 'wish' => ['required', 'in:stay,leave']]);
        $this->presence->hear($show, $this->person($request), $asked['tab'], $asked['device'], $asked['wish']);

        return response()->json($this->presence->of($show));
    }

    /** A lead takes the desk alone for a while, or gives it back. */
    public function alone(Request $request, Show $show): JsonResponse
    {
        $minutes = (int) $request->validate(['minutes' => ['required', Rule::in([0, ...self::ALONE])]])['minutes'];
        $show->alone_user_id = $minutes === 0 ? null : $this->person($request)->id;
        $show->alone_until = $minutes === 0 ? null : Carbon::now()->addMinutes($minutes);
        $show->save();
        $this->presence->tell($show);

        return response()->json($this->presence->of($show));
    }

    public function store(Request $request, Show $show): RedirectResponse
    {
        $asked = $request->validate([
            'email' => ['required', 'email', 'max:200'],
            'name' => ['nullable', 'string', 'max:80'],
            'role' => ['required', Rule::enum(Role::class)],
        ], ['email.*' => 'Write the address that this person signs in with.', 'name.*' => 'A name has at most 80 letters.']);
        $email = Str::lower($asked['email']);
        $person = User::query()->where('email', $email)->first();
        $password = null;
        if ($person === null) {
            $password = Str::lower(Str::random(4).'-'.Str::random(4).'-'.Str::random(4));
            $person = User::query()->create(['name' => $asked['name'] ?? Str::before($email, '@'), 'email' => $email, 'password' => $password]);
        }
        $show->people()->syncWithoutDetaching([$person->id => ['role' => $asked['role']]]);

        return back()->with('added', $person->name)->with('password', $password);
    }

    public function update(Request $request, Show $show, string $person): RedirectResponse
    {
        $asked = $request->validate(['role' => ['required', Rule::enum(Role::class)]]);
        $this->keepALead($show, (int) $person, Role::from($asked['role']));
        $show->people()->updateExistingPivot((int) $person, ['role' => $asked['role']]);
        $this->presence->tell($show);

        return back();
    }

    public function destroy(Show $show, string $person): RedirectResponse
    {
        $this->keepALead($show, (int) $person, null);
        $show->people()->detach((int) $person);
        $this->presence->tell($show);

        return back();
    }

    private function keepALead(Show $show, int $person, ?Role $role): void
    {
        if ($role !== Role::Lead && $show->people()->wherePivot('role', Role::Lead->value)->whereKeyNot($person)->doesntExist()) {
            throw new Refusal('A show needs a lead. Make somebody else lead first.');
        }
    }
}
