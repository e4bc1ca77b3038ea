<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Shop;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        RateLimiter::for('sign-in', fn (Request $request) => Limit::perMinute(8)
            ->by(mb_strtolower(is_string($request->input('login')) ? $request->input('login') : '').'|'.$request->ip())
            ->response(fn () => back()->withInput($request->only('login'))->withErrors(['login' => 'Too many tries. Wait a minute, then try again.'])));
        // An icon of the sprite: @icon('timer'). A directive, because a page has thirty and a component costs more than its output.
        Blade::directive('icon', fn (string $name) => '<svg class="icon" aria-hidden="true"><use href="/build/icons.svg#<?php echo e('.$name.'); ?>"></use></svg>');
        View::composer(['layouts.app', 'sign-in'], fn ($view) => $view->with('shop', Shop::here()));
    }
}
