<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\OneWriter;
use App\Library\Layouts;
use App\Models\Person;
use App\Models\Role;
use App\Models\Shop;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** The shop and its first lead, once, on an empty installation. */
final class FirstStartController
{
    public function create(): View|RedirectResponse
    {
        return Person::query()->exists() ? redirect('/sign-in') : view('first-start');
    }

    public function store(Request $request): RedirectResponse
    {
        abort_if(Person::query()->exists(), 404);
        $code = self::code();
        if ($code !== null && ! hash_equals($code, trim((string) $request->string('code')))) {
            return back()->withInput($request->except('password', 'code'))->withErrors(
                ['code' => 'This is not the code. It stands in the terminal in which Aqbel was started.'],
            );
        }
        $data = $request->validate([
            'shop' => ['required', 'string', 'max:120'], 'elevation_m' => ['required', 'numeric', 'between:-400,5000'],
            'name' => ['required', 'string', 'max:80'], 'login' => ['required', 'alpha_dash', 'max:40'], 'password' => [
                'required', 'string', 'min:10', 'max:200',
            ],
        ], [
            'shop.*' => 'Enter the shop’s name.', 'elevation_m.*' => 'Enter metres above sea level, from -400 to 5000.', 'name.*' => 'Enter your name.',
            'login.*' => 'Choose a sign-in name of letters, digits, - or _.', 'password.*' => 'Choose a password of at least 10 characters.',
        ]);
        $lead = OneWriter::run(function () use ($data, $request): Person {
            abort_if(Person::query()->exists(), 404);
            if ($request->boolean('layouts')) {
                Layouts::bringIn();
            }
            Shop::query()->create(
                [
                    'name' => $data['shop'],
                    'elevation_m' => (float) $data['elevation_m'],
                    'rules' => RulesCodec::write(new HouseRules),
                ],
            );

            return Person::query()
                ->create(
                    [
                        'name' => $data['name'],
                        'login' => $data['login'],
                        'password' => $data['password'],
                        'role' => Role::Lead,
                        'units' => 'metric',
                    ],
                );
        });
        Auth::login($lead);
        $request->session()->regenerate();
        @unlink((string) config('aqbel.first_start'));

        return redirect('/')->with('notice', 'The shop is set up. Next: its first vehicle.');
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
}
