<?php

declare(strict_types=1);

namespace App\Http;

use App\Shop\FullDisk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * What went wrong, in this house's look and words, with the way back. It needs neither session nor database nor a
 * template that would first have to be written: it is there, too, when nothing can be.
 */
final class ErrorPage
{
    /** @var array<int, array{string, string}> title and words, by status */
    private const SAID = [
        403 => ['Not yours to open', 'This takes a right that you do not have in this shop. '
            .'A lead has it, or can give it.'],
        404 => ['Nothing stands here', 'It was taken away, or the address has a slip in it. '
            .'A job is found by its number, such as /jobs/J0004.'],
        405 => ['Not this way', 'This address is for sending something, and nothing was sent.'],
        413 => ['That is far too large', 'A photograph may have 12 MB, a circuit file 1 MB. '
            .'Nothing was stored and nothing was changed. Set the camera to a '
            .'smaller picture, go back, and send it again.'],
        419 => ['The page had been open too long', 'Nothing was stored. Go back, load the page again, '
            .'and send it once more.'],
        429 => ['Too many tries', 'Wait a minute, then try again. Nothing was stored and nothing was lost.'],
        500 => ['Something went wrong here', 'It was not you. What was entered before is stored; '
            .'what you just sent may not be: go back and look. What went wrong stands in the log of this machine.'],
        503 => ['Being looked after', 'Somebody is working on this machine. Entries stay on the tablets and are '
            .'sent when it is back.'],
        507 => ['The disk of this machine is full', 'Nothing was stored, and what you typed is still on the page '
            .'before: make room on the disk, go back and send it again.'],
    ];

    /** The answer as it is, unless it is an error that a person would read. */
    public static function instead(Response $response, Throwable $failed, Request $request): Response
    {
        $status = FullDisk::stopped($failed) ? Response::HTTP_INSUFFICIENT_STORAGE : $response->getStatusCode();
        if ($response instanceof RedirectResponse || ! isset(self::SAID[$status])) {
            return $response;
        }
        if ($request->expectsJson()) {
            return $status === $response->getStatusCode() && $response instanceof JsonResponse
                ? $response
                : new JsonResponse(['message' => self::SAID[$status][1]], $status);
        }

        return config('app.debug') === true && $status === Response::HTTP_INTERNAL_SERVER_ERROR
            ? $response
            : new Response(
                self::html($status, $status === Response::HTTP_FORBIDDEN ? $failed->getMessage() : ''),
                $status,
                array_intersect_key($response->headers->all(), ['retry-after' => true, 'allow' => true]),
            );
    }

    /** @param  string  $because  what is to be said of it here, where something is */
    public static function html(int $status, string $because = ''): string
    {
        [$title, $words] = self::SAID[$status];
        $words = $because === '' ? $words : htmlspecialchars($because);
        $style = self::style();
        $link = $style === null ? '' : '<link rel="stylesheet" href="/build/'.htmlspecialchars($style).'">';

        return <<<HTML
            <!doctype html>
            <html lang="en">
            <head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>{$title} · Aqbel</title>{$link}</head>
            <body>
                <main class="p-5"><section class="mx-auto mt-[7vh] grid max-w-[420px] gap-3.5 border-t-[5px] border-coolant bg-panel p-8">
                    <p class="justify-self-start border-b-3 border-level font-gauge text-[1.75rem]/none font-semibold tracking-[0.01em]">Aqbel</p>
                    <h1>{$title}</h1>
                    <p>{$words}</p>
                    <p><a class="button button-wide" href="/">To the floor</a></p>
                    <p class="help">Number {$status}.</p>
                </section></main>
            </body>
            </html>

            HTML;
    }

    /** The one style sheet, as it was built last; null where none was. */
    private static function style(): ?string
    {
        $manifest = @file_get_contents(public_path('build/manifest.json'));
        $built = is_string($manifest) ? json_decode($manifest, true) : null;
        $file = is_array($built) ? ($built['resources/css/app.css']['file'] ?? null) : null;

        return is_string($file) ? $file : null;
    }
}
