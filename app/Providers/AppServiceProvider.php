<?php

declare(strict_types=1);

namespace App\Providers;

use App\Floor\Danger;
use App\Floor\TickSeen;
use App\Http\WholeFileSessions;
use App\Models\Shop;
use App\Shop\ClockFile;
use App\Shop\MachineClock;
use App\Shop\SecurityLog;
use App\Words\Glossary;
use Aqbel\Core\Plan\Kinds;
use Aqbel\Core\Plan\Schools;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Illuminate\View\View as ViewOf;

final class AppServiceProvider extends ServiceProvider
{
    /** Name and key of each screen in the bar. */
    private const SCREENS = [
        '/' => ['Floor', 'f'],
        '/jobs/new' => ['Plan', 'p'],
        '/vehicles' => ['Vehicles', 'v'],
        '/circuits' => ['Circuits', 'c'],
        '/stores' => ['Stores', 's'],
        '/bench' => ['Bench', 'b'],
        '/records' => ['Records', 'r'],
    ];

    public function register(): void
    {
        $this->app->singleton(StepCatalogue::class, fn () => StepCatalogue::standard());
        $this->app->scoped(Shop::class, Shop::stored(...));
        $this->app->scoped(TickSeen::class);
        $this->app->singleton(Schools::class, fn () => SchoolCatalogue::standard());
        $this->app->bind(Kinds::class, StepCatalogue::class);
        $this->app->singleton(Glossary::class);
        $this->app->bind(
            ClockFile::class,
            fn () => new ClockFile((string) config('aqbel.clock'), app(MachineClock::class)),
        );
    }

    public function boot(): void
    {
        Session::extend(
            'whole_file',
            fn (Application $app) => new WholeFileSessions(
                $app->make('files'),
                config('session.files'),
                config('session.lifetime'),
            ),
        );
        Model::shouldBeStrict(! $this->app->isProduction());
        RateLimiter::for('sign-in', function (Request $request): array {
            $login = is_string($request->input('login')) ? mb_strtolower($request->input('login')) : '';
            $tooMany = function () use ($request, $login): RedirectResponse {
                SecurityLog::refused($request, 'too many sign-ins', $login);

                return back()->withInput($request->only('login'))->withErrors(
                    ['login' => 'Too many tries. Wait a minute, then try again.'],
                );
            };

            // By name at one address, so that nobody locks somebody else out from elsewhere; and by address over all
            // names. Who comes in is not counted: eight people at one desk sign in within a minute.
            return array_map(fn (Limit $limit) => $limit->after(fn () => Auth::guest())->response($tooMany), [
                Limit::perMinute(8)->by("{$login}|{$request->ip()}"), Limit::perMinute(60)->by((string) $request->ip()),
            ]);
        });
        // How far a view is indented is for who reads it here: a quarter of every page.
        Blade::precompiler(fn (string $view) => (string) preg_replace('/\n[ \t]+/', "\n", $view));
        // A text whose words explain themselves when pressed: @said($reason)
        Blade::directive(
            'said',
            fn (string $text) => "<?php echo app(\\App\\Words\\Glossary::class)->marked({$text}); ?>",
        );
        // An icon of the sprite: @icon('timer'). A directive, because a page has
        // thirty and a component costs more than its output.
        Blade::directive('icon', fn (string $name) => '<svg class="icon" aria-hidden="true">'
            .'<use href="/build/icons.svg#<?php echo e('.$name.'); ?>"></use></svg>');
        View::composer(['layouts.bar', 'sign-in'], fn (ViewOf $view) => $view->with('shop', Shop::here()));
        View::share('typed', self::typed(...));
        View::composer('layouts.bar', fn (ViewOf $view) => $view->with('screens', self::SCREENS));
        View::composer('layouts.danger', fn (ViewOf $view) => $view->with('dangers', Danger::now()));
        View::composer(
            'layouts.app',
            fn (ViewOf $view) => $view->with(['theme' => self::theme(), 'tick' => app(TickSeen::class)]),
        );
    }

    /** Light or dark, where the reader has said so. */
    /**
     * What was typed before it was refused, in any view as `$typed`: whatever else was sent in its place is nothing.
     */
    private static function typed(string $name, ?string $else = null): ?string
    {
        $was = old($name);

        return is_string($was) ? $was : $else;
    }

    private static function theme(): ?string
    {
        $theme = request()->cookie('theme');

        return in_array($theme, ['light', 'dark'], true) ? $theme : null;
    }
}
