<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** A password of one's own; with a new one every other session of the person ends. */
final class PasswordController extends Controller
{
    public function edit(Request $request): View
    {
        return view('password', ['first' => self::person($request)->must_change]);
    }

    public function update(Request $request): RedirectResponse
    {
        $data = $request->validate([
            'current' => ['required', 'string', 'max:200', 'current_password'],
            'password' => ['required', 'string', 'min:10', 'max:200', 'different:current'],
        ], [
            'current.*' => 'This is not the password you signed in with.',
            'password.different' => 'Choose another one than the one before.',
            'password.*' => 'Choose a password of at least 10 characters.',
        ]);
        $person = self::person($request);
        OneWriter::run(fn () => $person->update(['password' => $data['password'], 'must_change' => false]));
        Auth::login($person);
        $request->session()->regenerate();

        return redirect('/')->with('notice', 'Your new password counts from now on. On other tablets you sign in again.');
    }
}
