<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\View\View;

final class SignInController
{
    public function create(): View
    {
        return view('sign-in');
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

            return back()->withInput($request->only('login'))->withErrors(
                ['login' => 'Name and password do not go together. Check both and try again.'],
            );
        }
        $request->session()->regenerate();

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
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
