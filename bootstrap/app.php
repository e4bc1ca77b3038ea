<?php

declare(strict_types=1);

use App\Http\Answered;
use App\Http\ErrorPage;
use App\Http\Middleware\FirstStart;
use App\Http\Middleware\KnowsWho;
use App\Http\Middleware\LocksTablet;
use App\Http\Middleware\MarksTick;
use App\Http\Middleware\OnPracticeGround;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\ShopClock;
use App\Http\Middleware\StartsSession;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\AuthenticateSession;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Context;
use Symfony\Component\HttpFoundation\Response;
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
        $middleware->web(append: [AuthenticateSession::class, ShopClock::class, FirstStart::class, KnowsWho::class, LocksTablet::class, OnPracticeGround::class], prepend: [MarksTick::class], replace: [StartSession::class => StartsSession::class]);
        $middleware->encryptCookies(except: ['theme']);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions) use ($secrets): void {
        $exceptions->dontReport([InvalidField::class, InvalidFields::class]);
        $exceptions->dontFlash($secrets);
        $exceptions->context(fn () => Context::all());
        $exceptions->render(fn (InvalidField|InvalidFields $invalid, Request $request) => Answered::invalid($request, match (true) {
            $invalid instanceof InvalidFields => $invalid->byField(),
            default => [$invalid->field => $invalid->getMessage()],
        }, $secrets));
        $exceptions->render(fn (HttpException $expired, Request $request) => match (true) {
            ! $expired->getPrevious() instanceof TokenMismatchException => null,
            // A script keeps what it sent, fetches a page with a fresh token, and sends it again.
            $request->expectsJson() => response()->json(['message' => 'The page had been open too long.'], 419),
            default => back()->withInput($request->except('_token', ...$secrets))
                ->with('notice', 'The page had been open too long. What you typed is still here: send it again.'),
        });
        // By its own key a script knows that it is this shop that answers, and no proxy on the way.
        $exceptions->respond(fn (Response $response, Throwable $failed, Request $request): Response => Answered::withKey(
            ErrorPage::instead($response, $failed, $request), $request,
        ));
    })
    ->create();
