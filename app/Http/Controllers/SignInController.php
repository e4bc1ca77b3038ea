<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\Models\Person;
use App\Models\SignIn;
use App\Models\Tablet;
use App\Shop\SecurityLog;
use Aqbel\Core\InvalidField;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\View\View;

final class SignInController
{
    public function create(Request $request): View
    {
        $tablet = Tablet::of($request);

        return view('sign-in', [
            'tablet' => $tablet,
            'people' => $tablet === null
                ? []
                : Person::query()->whereNull('disabled_at')->whereNotNull('pin')->orderBy('name')->get(['id', 'name']),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $credentials = $request->validate([
            'login' => ['required', 'string', 'max:40'], 'password' => ['required', 'string', 'max:200'],
        ], [
            'login.*' => 'Enter your sign-in name.', 'password.*' => 'Enter your password.',
        ]);
        if (! Auth::attempt([...$credentials, 'disabled_at' => null])) {
            // A name nobody has, or that signs in no more, takes as long as a wrong password.
            if (Person::query()->where('login', $credentials['login'])->whereNull('disabled_at')->doesntExist()) {
                Hash::check($credentials['password'], self::nobody());
            }

            SecurityLog::refused($request, 'sign-in refused', $credentials['login']);

            return back()->withInput($request->only('login'))->withErrors(
                ['login' => 'Name and password do not go together. Check both and try again.'],
            );
        }
        $person = Auth::user();
        if ($person instanceof Person && $person->first_password_until?->isPast() === true) {
            Auth::logout();
            SecurityLog::refused($request, 'first password too old', $person->login);

            return back()
                ->withInput($request->only('login'))
                ->withErrors([
                    'login' => 'This first password was given more than three days ago and opens no more. '
                        .'A lead gives another.',
                ]);
        }

        return $this->begin($request, $person instanceof Person ? $person : abort(401), Tablet::of($request));
    }

    /** On a shared tablet by a short PIN, five tries; after that the password. */
    public function pin(Request $request): RedirectResponse
    {
        $tablet = Tablet::of($request) ?? throw new InvalidField(
            'login',
            'PINs open only a tablet that a lead has admitted. Sign in with your password.',
        );
        $pin = $request->input('pin');
        // Under the lock, so that tries at once are counted one after the other.
        $person = OneWriter::run(function () use ($request, $pin): Person|string {
            $person = Person::query()
                ->whereKey($request->integer('person'))
                ->whereNull('disabled_at')
                ->whereNotNull('pin')
                ->first();
            if ($person === null) {
                return 'Choose who you are.';
            }
            if ($person->pin_tries >= Person::MOST_TRIES) {
                return 'Too many wrong PINs. Sign in with your password; the PIN counts again then.';
            }
            $right = is_string($pin) && Hash::check($pin, (string) $person->pin);
            $person->update(['pin_tries' => $right ? 0 : $person->pin_tries + 1]);
            $left = Person::MOST_TRIES - $person->pin_tries;

            return $right
                ? $person
                : "This is not {$person->name}’s PIN. ".(
                    $left === 0 ? 'Sign in with your password.' : "Tries left: {$left}."
                );
        });
        if (is_string($person)) {
            SecurityLog::refused(
                $request,
                'PIN refused',
                (string) Person::query()->whereKey($request->integer('person'))->value('login'),
            );
            throw new InvalidField('pin', $person);
        }
        Auth::login($person);

        return $this->begin($request, $person, $tablet);
    }

    private function begin(Request $request, Person $person, ?Tablet $tablet): RedirectResponse
    {
        $request->session()->regenerate();
        OneWriter::run(function () use ($request, $person, $tablet): void {
            SignIn::begin($request, $person, $tablet);
            $person->pin_tries === 0 || $person->update(['pin_tries' => 0]);
        });

        return redirect(self::within((string) $request->session()->pull('url.intended', '/')));
    }

    /** Where somebody wanted to go, as long as it is here. */
    private static function within(string $url): string
    {
        return str_starts_with($url, url('/').'/') || preg_match('#^/(?!/|\\\\)#', $url) === 1 ? $url : '/';
    }

    /** A hash that no password has, as costly as a real one. */
    private static function nobody(): string
    {
        return Cache::rememberForever('nobody', fn () => Hash::make(Str::random(40)));
    }

    public function destroy(Request $request): RedirectResponse
    {
        SignIn::end($request);
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
