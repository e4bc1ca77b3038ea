<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\Library\Layouts;
use App\Models\Person;
use App\Models\Role;
use App\Models\Shop;
use App\Models\SignIn;
use App\People\NewPassword;
use App\Shop\Elevation;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** The shop and its first lead, once, on an empty installation. */
final class FirstStartController
{
    private const NAMELESS = 'The shop';

    public function create(): View|RedirectResponse
    {
        return Person::query()->exists()
            ? redirect('/sign-in')
            : view('first-start', ['asksCode' => self::code() !== null, 'tools' => Tool::cases()]);
    }

    public function store(Request $request): RedirectResponse
    {
        abort_if(Person::query()->exists(), 404);
        $code = self::code();
        if ($code !== null && ! hash_equals($code, trim(self::typed($request, 'code')))) {
            return back()->withInput($request->except('password', 'code'))->withErrors(
                ['code' => 'This is not the code. It stands in the terminal in which Aqbel was started.'],
            );
        }
        $data = $request->validate([
            'shop' => [
                'nullable',
                'string',
                'max:120',
            ], 'elevation_m' => ['nullable', 'string', 'max:40'], 'barometer' => ['nullable', 'string', 'max:40'],
            'currency' => ['nullable', 'string', 'max:4'], 'units' => ['nullable', Rule::enum(UnitSystem::class)],
            'tools' => ['nullable', 'array'], 'tools.*' => [Rule::enum(Tool::class)],
            'name' => ['required', 'string', 'max:80'], 'login' => ['required', 'alpha_dash', 'max:40'],
            'password' => ['required', 'string', new NewPassword(self::typed($request, 'login'))],
        ], [
            'shop.*' => 'Enter the shop’s name, at most '
                .'120 letters.', 'currency.*' => 'Enter at most four letters.', 'units.*' => 'Choose one of the two.',
            'elevation_m.*' => 'Enter metres above sea level, from '
                .'-400 to 5000.', 'barometer.*' => 'Enter what the barometer reads, or nothing.',
            'tools*' => 'This choice is not one the page offers. Choose again.', 'name.*' => 'Enter your name.',
            'login.*' => 'Choose a sign-in name of letters, '
                .'digits, - or _.', 'password.required' => 'Choose a password of at least 10 characters.',
        ]);
        $units = UnitSystem::tryFrom($data['units'] ?? '') ?? UnitSystem::Metric;
        $shop = [
            'name' => trim($data['shop'] ?? '') ?: self::NAMELESS,
            'elevation_m' => self::elevation($data, $units),
            'rules' => RulesCodec::write(new HouseRules(
                currency: trim($data['currency'] ?? ''),
                vessels: new Vessels(Vessel::usual($units)),
            )),
            // A page without the list says nothing; one with it says what is at hand, be it nothing.
            'tools' => $request->boolean('tools_said') ? array_values($data['tools'] ?? []) : null,
        ];
        $lead = OneWriter::run(function () use ($data, $shop, $units, $request): Person {
            abort_if(Person::query()->exists(), 404);
            if ($request->boolean('layouts')) {
                Layouts::bringIn();
            }
            Shop::query()->create($shop);

            return Person::query()->create([
                'name' => $data['name'],
                'login' => $data['login'],
                'password' => $data['password'],
                'role' => Role::Lead,
                'units' => $units,
            ]);
        });
        Auth::login($lead);
        $request->session()->regenerate();
        OneWriter::run(fn () => SignIn::begin($request, $lead, null));
        @unlink((string) config('aqbel.first_start'));

        return redirect($request->boolean('layouts') ? '/vehicles/new' : '/circuits')
            ->with('notice', 'The shop is set up. What else it needs stands on the floor. Next: its first vehicle.');
    }

    /**
     * Sea level where nothing is known.
     *
     * @param  array<string, mixed>  $typed
     *
     * @throws ValidationException
     */
    private static function elevation(array $typed, UnitSystem $units): float
    {
        try {
            // The page asks for metres: what somebody reads is told on the same page.
            $elevation = Elevation::field()->optional()->read($typed['elevation_m'] ?? '', UnitSystem::Metric)[0];
            $barometer = Elevation::barometer()->read($typed['barometer'] ?? '', $units)[0];

            return Elevation::of(is_float($elevation) ? $elevation : null, is_float($barometer) ? $barometer : null);
        } catch (InvalidField $invalid) {
            $field = $invalid->field === 'elevation' ? 'elevation_m' : $invalid->field;
            throw ValidationException::withMessages([$field => $invalid->getMessage()]);
        }
    }

    /** The code that the launcher printed; null where it asks for none. */
    public static function code(): ?string
    {
        $file = config('aqbel.first_start');

        if (! is_string($file)) {
            return null;
        }

        // A code that was asked for and is gone is one that nobody knows, not one that nobody needs.
        return is_file($file) ? trim((string) file_get_contents($file)) : bin2hex(random_bytes(16));
    }

    /** A text of the request; empty where it is none. */
    private static function typed(Request $request, string $field): string
    {
        $typed = $request->input($field);

        return is_string($typed) ? $typed : '';
    }
}
