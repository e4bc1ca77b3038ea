<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that somebody chooses: long enough, and none that others try first. */
final readonly class NewPassword implements ValidationRule
{
    public const LEAST = 10;

    private const MOST = 200;

    /** What is tried first, in any case and with digits or signs at its end (common practice, no source). */
    private const COMMON = [
        'password',
        'passwort',
        'qwerty',
        'qwertyuiop',
        'qwertzuiop',
        'asdfghjkl',
        'letmein',
        'welcome',
        'iloveyou',
        'administrator',
        'admin',
        'football',
        'baseball',
        'superman',
        'sunshine',
        'princess',
        'dragon',
        'monkey',
        'master',
        'changeme',
        'default',
        'abcdefghij',
        'coolant',
        'workshop',
        'mechanic',
        'werkstatt',
        'aqbel',
    ];

    /** @param  string  $login  of whose it is: nobody's name is a secret */
    public function __construct(private string $login = '')
    {
    }

    /** Why it cannot be; null where it can. */
    public static function why(string $password, string $login = ''): ?string
    {
        $word = rtrim(mb_strtolower($password), '0123456789!?.-_#$%&*+ ');

        return match (true) {
            mb_strlen($password) < self::LEAST || mb_strlen($password) > self::MOST => 'Choose a password of at '
                .'least 10 characters.',
            preg_match('/^[\d\s.\-]+$/', $password) === 1 => 'Digits alone are guessed. '
                .'Choose words, or letters and digits.',
            count(array_unique(mb_str_split($password))) < 4 => 'Choose one of more than three different characters.',
            in_array($word, self::COMMON, true) || ($login !== '' && $word === mb_strtolower($login)) => 'Others guess that one first. Choose another.',
            default => null,
        };
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $why = is_string($value) ? self::why($value, $this->login) : null;
        $why === null || $fail($why);
    }
}
