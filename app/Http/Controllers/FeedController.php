<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\ShopClock;
use App\Instruments\Door;
use App\Instruments\StandIn;
use App\Journal\OneWriter;
use App\Models\Feed;
use App\Models\Job;
use Aqbel\Core\Instruments\Batch;
use Aqbel\Core\Instruments\ChannelKind;
use Aqbel\Core\Instruments\Sender;
use Aqbel\Core\InvalidField;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The door for instruments, and who opens it. */
final class FeedController extends Controller
{
    /** From an instrument: no session and no page, whoever has the address may. */
    public function take(Request $request, string $token, ShopClock $clock): Response
    {
        return $clock->handle($request, fn (): JsonResponse => $this->taken($request, $token));
    }

    private function taken(Request $request, string $token): JsonResponse
    {
        $feed = Door::feed($token);
        if ($feed === null) {
            return response()->json(
                ['message' => 'There is no such address. Connect the instrument once more in the run.'],
                404,
            );
        }
        if ($feed->ended_at !== null || $feed->job->stands()) {
            return response()->json(['message' => 'This address has ended, as its job has. Nothing was kept.'], 410);
        }
        $body = $request->getContent();
        $batch = strlen($body) > Batch::MOST_BYTES || ! mb_check_encoding($body, 'UTF-8') ? null : Batch::read($body);
        if ($batch === null || $batch->lines > Sender::AT_ONCE) {
            return response()->json(
                ['message' => 'Send at most '.Sender::AT_ONCE.' lines of UTF-8 at once.'],
                413,
            );
        }
        $receipt = Door::take($feed, $batch);

        return $receipt === null
            ? response()->json(
                [
                    'message' => 'Slow down: '
                        .Sender::A_SECOND
                        .' lines a second are taken. Nothing of this was kept; send it again.',
                ],
                429,
                ['Retry-After' => (string) max(1, intdiv($batch->lines, Sender::A_SECOND))],
            )
            : response()->json($receipt->toArray(), $receipt->refused === [] ? 200 : 207);
    }

    /** @throws InvalidField */
    public function open(Request $request, Job $job): RedirectResponse
    {
        $standIn = config('aqbel.demo') && $request->boolean('stand_in') ? self::text($request, 'fault') : null;
        $standIn === null || StandIn::faults($standIn);
        Door::open(
            $job,
            self::person($request),
            $standIn === null ? self::text($request, 'name') : 'Stand-in',
            $standIn,
        );

        return redirect("/jobs/{$job->id}#instruments");
    }

    /** The thermometer is held to another outlet. */
    public function walk(Request $request, Feed $feed): RedirectResponse
    {
        $outlet = self::text($request, 'outlet');
        if (! in_array($outlet, $feed->job->circuit->read()->facts->outlets, true)) {
            throw new InvalidField('feed', 'This vehicle has no such outlet. Choose one of those shown.');
        }
        if (ChannelKind::of(ChannelKind::Outlet->value.".{$outlet}") === null) {
            throw new InvalidField(
                'feed',
                'The name of this outlet is more than letters, figures and dashes. Call it shorter in the circuit.',
            );
        }
        OneWriter::run(fn () => $feed->update(['outlet' => $outlet]));

        return redirect("/jobs/{$feed->job_id}#instruments");
    }

    public function end(Feed $feed): RedirectResponse
    {
        Door::end($feed);

        return redirect("/jobs/{$feed->job_id}#instruments");
    }
}
