<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Instruments\StandIn;
use App\Models\Feed;
use App\Models\Job;
use App\Models\JournalLine;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;

/** A job that an instrument sends to. */
abstract class FeedTestCase extends ShopTestCase
{
    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    protected function verdict(Job $job): ?string
    {
        $state = $job->refresh()->state();

        return $state->verdictOf($state->steps['heat_cycle:1'], now()->getTimestamp())?->code;
    }

    /** @return list<array{form: string, shows: ?string}> written by instruments */
    protected function lines(Job $job): array
    {
        $lines = JournalLine::query()
            ->where('job_id', $job->id)
            ->orderBy('seq')
            ->get()
            ->map(fn (JournalLine $line) => ['form' => $line->form] + $line->values);

        return array_values(
            $lines
                ->filter(fn (array $line) => ($line['source'] ?? '') === 'instrument')
                ->map(fn (array $line) => ['form' => $line['form'], 'shows' => $line['shows'] ?? null])
                ->all(),
        );
    }

    /** So many seconds go by, and the stand-in sends what its instruments show every fifteen. */
    protected function drive(Feed $feed, int $seconds, \Closure $until): void
    {
        for ($gone = 0; $gone < $seconds && ($gone % 60 !== 0 || ! $until()); $gone += 15) {
            $since = (float) (now()->getTimestamp() - $feed->created_at->getTimestamp());
            Carbon::setTestNow(now()->addSeconds(15));
            $this->send(
                $feed,
                (new StandIn($feed->refresh()))->lines($since, now()->getTimestamp()),
            )->assertSuccessful();
        }
    }

    /** @param  list<string>  $lines */
    protected function send(Feed $feed, array $lines): TestResponse
    {
        return $this->call(
            'POST',
            "/feeds/{$feed->token}",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json'],
            implode("\n", $lines),
        );
    }
}
