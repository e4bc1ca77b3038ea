<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Person;
use App\Models\Right;
use App\Models\Role;
use App\Models\SignIn;
use App\People\NewPassword;
use Aqbel\Core\InvalidField;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\View\View;

/** Who works here: added, changed and signed out for good by a lead. Names stay in the records for ever. */
final class PeopleController extends Controller
{
    public function index(Request $request): View
    {
        return view('people', [
            'manages' => self::person($request)->may(Right::ManagePeople),
            'people' => Person::query()->orderByRaw('disabled_at is not null')->orderBy('name')->get(),
            'self' => self::person($request),
            'roles' => Role::cases(),
            'signIns' => SignIn::query()->open()->with('tablet')->orderByDesc('id')->get()->groupBy('person_id'),
            'current' => $request->session()->get(SignIn::KEY),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        self::only($request, Right::ManagePeople);
        $data = $request->validate([
            'name' => ['required', 'string', 'max:80', 'unique:people,name'],
            'login' => ['required', 'alpha_dash', 'max:40', 'unique:people,login'],
            'role' => ['required', Rule::enum(Role::class)],
            'password' => ['required', 'string', new NewPassword(self::text($request, 'login'))],
        ], [
            'name.unique' => 'Somebody of this name is here already. Records go by names: add a letter to tell '
                .'the two apart.',
            'name.*' => 'Enter the name as it shall stand in the records.',
            'login.unique' => 'This sign-in name is taken. Choose another.',
            'login.*' => 'Choose a sign-in name of letters, digits, - or _.',
            'role.*' => 'Choose what this person may do.',
            'password.required' => 'Choose a first password of at least 10 characters; '
                .'it is changed at the first sign-in.',
        ]);
        OneWriter::run(function () use ($request, $data): void {
            Person::query()->create([...$data, 'units' => self::person($request)->units, ...self::toBeChanged()]);
            Trail::note(self::person($request), Subject::Person, $data['name'], Trail::between([], $data));
        });

        return redirect('/people')->with('notice', "{$data['name']} may sign in, and chooses a password of their own.");
    }

    public function update(Request $request, Person $person): RedirectResponse
    {
        self::only($request, Right::ManagePeople);
        $change = match (true) {
            $request->filled('password') => $this->firstPassword($request, $person),
            $request->has('role') => ['role' => Role::tryFrom(self::text($request, 'role')) ?? $person->role],
            $request->has('disable') => ['disabled_at' => $request->boolean('disable') ? now() : null],
            default => throw new InvalidField('person', 'Nothing was chosen to change.'),
        };
        OneWriter::run(function () use ($request, $person, $change): void {
            $before = $person->refresh()->attributesToArray();
            $person->update($change);
            $said = isset($change['password'])
                ? [new Change('password', '', 'a new first one')]
                : Trail::between($before, $change);
            Trail::note(self::person($request), Subject::Person, $person->name, $said);
            if (Person::query()->where('role', Role::Lead)->whereNull('disabled_at')->doesntExist()) {
                throw new InvalidField('person', 'Somebody must be left who leads. Make another person a lead first.');
            }
        });

        return redirect('/people')->with('notice', "{$person->name} is changed.");
    }

    /** A lead ends anybody’s, everybody their own. */
    public function end(Request $request, SignIn $signIn): RedirectResponse
    {
        $person = self::person($request);
        $signIn->person_id === $person->id || self::only($request, Right::ManagePeople);
        OneWriter::run(function () use ($signIn, $person): void {
            $signIn->update(['ended_at' => $signIn->ended_at ?? now()]);
            Trail::note(
                $person,
                Subject::Person,
                Person::query()->whereKey($signIn->person_id)->value('name'),
                [new Change('sign-in', $signIn->place(), 'ended')],
            );
        });

        return redirect('/people')->with('notice', 'Ended. There they sign in again.');
    }

    /** @return array{password: string, must_change: bool, first_password_until: Carbon} */
    private function firstPassword(Request $request, Person $person): array
    {
        $password = self::text($request, 'password');
        $why = NewPassword::why($password, $person->login);
        if ($why !== null) {
            throw new InvalidField('person', $why);
        }

        return ['password' => $password, ...self::toBeChanged()];
    }

    /**
     * @return array{must_change: bool, first_password_until: Carbon}
     * what somebody else knows opens for three days, and once
     */
    private static function toBeChanged(): array
    {
        return ['must_change' => true, 'first_password_until' => now()->addDays(3)];
    }
}
