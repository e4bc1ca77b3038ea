<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\JournalLine;
use App\Models\Person;
use App\Models\Photo;
use App\Record\Seal;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

/** A record is signed by whoever says so once more, and what was signed can be told from what was changed. */
final class SealTest extends ShopTestCase
{
    private function readyToSign(): Job
    {
        $job = $this->plan();
        $this->walk($job)->until('leak_check');
        $this->actingAs($this->imre)
            ->post("/jobs/{$job->id}/photos", [
                'key' => 'photograph-0001',
                'step' => 'leak_check',
                'photo' => UploadedFile::fake()->image('drip.jpg', 640, 480),
                'caption' => 'A drip',
            ])
            ->assertSessionHasNoErrors();
        $this->walk($job)->until('sign_off');

        return $job;
    }

    public function test_the_signature_asks_for_the_pin_or_the_password_whichever_way_it_comes(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('sign_off');
        $this->get("/jobs/{$job->id}")
            ->assertOk()
            ->assertSee('Your PIN or password');
        $sign = fn (array $with) => $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/finish", [
                'key' => 'sign-'.bin2hex(random_bytes(4)),
                'step' => 'sign_off',
                ...$with,
            ]);
        $sign([])->assertSessionHasErrors('known');
        $sign(['known' => 'wrong'])->assertSessionHasErrors('known');
        $sign(['known' => '4071'])->assertSessionHasErrors('known');
        $sign(['known' => ['x']])->assertSessionHasErrors('known');
        self::assertNull(session()->getOldInput('known'), 'never kept for showing again');
        // Nor does a remark sign it in the same press.
        $this->post("/jobs/{$job->id}/entries", [
            'key' => 'remark-00001',
            'step' => 'sign_off',
            'form' => 'remark',
            'fields' => ['remark' => 'All well'],
            'done' => '1',
        ])->assertSessionHasNoErrors();
        self::assertNull($job->refresh()->signed_at);
        $this->imre->update(['pin' => '4071', 'pin_tries' => 99]);
        $sign(['known' => '4071'])->assertSessionHasErrors('known');
        $this->imre->update(['pin_tries' => 0]);
        $sign(['known' => '4071'])->assertSessionHasNoErrors();
        self::assertNotNull($job->refresh()->signed_at);
    }

    public function test_whatever_is_changed_afterwards_breaks_the_seal(): void
    {
        $job = $this->readyToSign();
        $this->finish($job, 'sign_off')->assertSessionHasNoErrors();
        $seal = (string) $job->refresh()->seal;
        self::assertMatchesRegularExpression('/^[0-9a-f]{64}$/', $seal);
        self::assertTrue(Seal::holds($job));
        $this->get("/jobs/{$job->id}/record")
            ->assertSee('Unchanged since it was signed')
            ->assertSee(substr($seal, 0, 8));

        $photo = Photo::query()->where('job_id', $job->id)->sole();
        $line = JournalLine::query()->where('job_id', $job->id)->where('form', 'out')->firstOrFail();
        // Past the application, as whoever has the file would do it.
        $forge = fn (array $with) => DB::table('journal_lines')->where('id', $line->id)->update($with);
        $breaks = [
            'a value' => fn () => $forge(['values' => json_encode([...$line->values, 'volume' => 1.0])]),
            'when it was' => fn () => $forge(['at' => $line->at + 1]),
            'who it was' => fn () => $forge([
                'person_id' => Person::query()->whereKeyNot($line->person_id)->value('id'),
            ]),
            'a line taken out' => fn () => DB::table('journal_lines')->where('id', $line->id)->delete(),
            'the plan' => fn () => $job->update(['plan' => [...$job->plan, 'changed' => true]]),
            'the circuit' => fn () => $job->circuit->update([
                'document' => [...$job->circuit->document, 'label' => 'Other'],
            ]),
            'the picture' => fn () => file_put_contents($photo->path(), 'x', FILE_APPEND),
            'a picture taken out' => fn () => $photo->delete(),
        ];
        foreach ($breaks as $what => $change) {
            DB::beginTransaction();
            $change();
            self::assertFalse(Seal::holds(Job::query()->findOrFail($job->id)), $what);
            DB::rollBack();
        }
        $this->get("/jobs/{$job->id}/record")->assertSee('Changed since it was signed');
    }

    public function test_a_record_from_before_seals_says_nothing_of_one(): void
    {
        $job = $this->readyToSign();
        $this->finish($job, 'sign_off');
        $job->refresh()->update(['seal' => null]);
        self::assertNull(Seal::holds($job));
        $this->get("/jobs/{$job->id}/record")->assertOk()->assertDontSee('since it was signed');
    }
}
