<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\People\KnownSecret;
use App\People\NewPassword;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** A password of one's own; with a new one every other session of the person ends. */
final class PasswordController extends Controller
{
    public function edit(Request $request): View
    {
        return view('password', [
            'first' => self::person($request)->must_change,
            'hasPin' => self::person($request)->pin !== null,
            'calendar' => self::person($request)->calendar,
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        [$asked, $wrong] = KnownSecret::asked($request, self::person($request), 'current');
        $data = $request->validate([
            ...$asked,
            'password' => ['required', 'string', 'different:current', new NewPassword(self::person($request)->login)],
        ], [
            ...$wrong,
            'password.different' => 'Choose another one than the one before.',
            'password.required' => 'Choose a password of at least 10 characters.',
        ]);
        $person = self::person($request);
        OneWriter::run(
            fn () => $person->update([
                'password' => $data['password'],
                'must_change' => false,
                'first_password_until' => null,
            ]),
        );
        Auth::login($person);
        $request->session()->regenerate();

        return redirect('/')->with(
            'notice',
            'Your new password counts from now on. On other tablets you sign in again.',
        );
    }

    /** A short number for shared tablets; an empty one takes it away. */
    public function pin(Request $request): RedirectResponse
    {
        [$asked, $wrong] = KnownSecret::asked($request, self::person($request));
        $data = $request->validate(
            [
                ...$asked,
                'pin' => [
                    'nullable',
                    'string',
                    'regex:/^[0-9]{4,8}$/',
                    fn (string $field, mixed $pin, \Closure $fail) => is_string($pin) && self::isGuessed($pin)
                        ? $fail('Others guess that one first. Choose another.')
                        : null,
                ],
            ],
            [...$wrong, 'pin.*' => 'Choose four to eight digits, or none to take it away.'],
        );
        OneWriter::run(fn () => self::person($request)->update(['pin' => $data['pin'] ?? null, 'pin_tries' => 0]));

        return redirect('/password')->with(
            'notice',
            ($data['pin'] ?? null) === null ? 'You have no PIN.' : 'Your PIN opens the shared tablets.',
        );
    }

    /** One digit over and over, or digits in a row. */
    private static function isGuessed(string $pin): bool
    {
        return count(
            array_unique(str_split($pin)),
        ) === 1 || str_contains('0123456789', $pin) || str_contains('9876543210', $pin);
    }
}
