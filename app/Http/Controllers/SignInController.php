<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
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
        if (! Auth::attempt($credentials)) {
            return back()->withInput($request->only('login'))->withErrors(
                ['login' => 'Name and password do not go together. Check both and try again.'],
            );
        }
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
