<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Person;
use App\Shop\SecurityLog;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;

/**
 * A password, or a PIN where one is enough, that somebody signed in is asked for a second time. It is no door around
 * the first: wrong ones are counted and kept in the log, right ones are not.
 */
final readonly class KnownSecret implements ValidationRule
{
    /** Wrong ones a minute, over every place that asks. */
    private const TRIES = 8;

    private const WRONG = 'This is not the password you signed in with.';

    public function __construct(private Request $request, private Person $person, private bool $pinIsEnough = false)
    {
    }

    /** Why it is not taken; null where it is theirs. */
    public function why(string $secret): ?string
    {
        $key = "known|{$this->person->id}";
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            SecurityLog::refused($this->request, 'too many tries of a known password', $this->person->login);

            return 'Too many tries. Wait a minute, then try again.';
        }
        $pin = $this->pinIsEnough
            && $this->person->pin !== null
            && $this->person->pin_tries < Person::MOST_TRIES
            && Hash::check($secret, $this->person->pin);
        if ($pin || Hash::check($secret, $this->person->password)) {
            return null;
        }
        RateLimiter::hit($key);
        SecurityLog::refused($this->request, 'known password refused', $this->person->login);

        return $this->pinIsEnough ? 'This is neither your PIN nor your password.' : self::WRONG;
    }

    /** @return array{array<string, list<mixed>>, array<string, string>} rules and their words for a form’s own field */
    public static function asked(Request $request, Person $person, string $field = 'known'): array
    {
        $wrong = array_fill_keys(["{$field}.required", "{$field}.string", "{$field}.max"], self::WRONG);

        return [[$field => ['bail', 'required', 'string', 'max:200', new self($request, $person)]], $wrong];
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $why = $this->why(is_string($value) ? $value : '');
        $why === null || $fail($why);
    }
}
