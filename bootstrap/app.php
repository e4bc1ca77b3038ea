<?php

declare(strict_types=1);

use App\Http\Middleware\FirstStart;
use App\Http\Middleware\KnowsWho;
use App\Http\Middleware\LocksTablet;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\ShopClock;
use App\Shop\FullDisk;
use Aqbel\Core\InvalidField;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\AuthenticateSession;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Context;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Fields that are never kept for showing again. */
$secrets = ['password', 'current', 'known', 'pin'];

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->trustHosts(
            at: fn () => array_map(fn (string $host) => '^'.preg_quote($host).'$', config('aqbel.hosts')),
            subdomains: false,
        );
        $middleware->append(SecurityHeaders::class);
        $middleware->web(append: [AuthenticateSession::class, ShopClock::class, FirstStart::class, KnowsWho::class, LocksTablet::class]);
        $middleware->encryptCookies(except: ['theme']);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions) use ($secrets): void {
        $exceptions->dontReport([InvalidField::class]);
        $exceptions->dontFlash($secrets);
        $exceptions->context(fn () => Context::all());
        // A query says it, or the commit at the end of them.
        $exceptions->render(fn (PDOException $failed) => FullDisk::isBehind($failed)
            ? response('The disk of this machine is full, so nothing was stored. What you typed is still on the page before: make room, go back and send it again.', 507)
            : null);
        $exceptions->render(fn (InvalidField $invalid, Request $request) => $request->expectsJson()
            ? response()->json(
                ['message' => $invalid->getMessage(), 'errors' => [$invalid->field => [$invalid->getMessage()]]],
                422,
            )
            : back()->withInput($request->except('_token', ...$secrets))->withErrors([$invalid->field => $invalid->getMessage()]));
        $exceptions->render(fn (HttpException $expired, Request $request) => $expired->getPrevious() instanceof TokenMismatchException
            ? back()->withInput(
                $request->except('_token', ...$secrets),
            )->with('notice', 'The page had been open too long. What you typed is still here: send it again.')
            : null);
    })
    ->create();
