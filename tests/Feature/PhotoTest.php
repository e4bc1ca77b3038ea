<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\JournalLine;
use App\Models\Photo;
use App\Photos\DecodingSlot;
use App\Photos\Photograph;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Photographs: what is kept of them, where they come back, and what is refused. */
final class PhotoTest extends ShopTestCase
{
    public function test_old_drips_come_back_beside_the_leak_check_and_stand_on_the_record(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('inspect');
        $this->send($job, 'inspect', self::file('drip.jpg', self::jpeg()), 'Left mount, old')
            ->assertSessionHasNoErrors();
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertSee('Left mount, old');
        $this->walk($job)->until('leak_check');
        $page = $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertOk();
        $page->assertSeeInOrder(['Before the work', 'Left mount, old', 'Now', 'Photograph the same places']);
        $this->send($job, 'leak_check', self::file('now.png', self::png(), 'image/png'), 'Left mount, now');
        $this->get("/jobs/{$job->id}")->assertSeeInOrder(['Left mount, old', 'Left mount, now']);
        $this->get("/jobs/{$job->id}/record")->assertSeeInOrder(['Photographs', 'Left mount, old', 'Left mount, now']);
        $this->post('/sign-out');
        $this->get('/photos/'.Photo::query()->firstOrFail()->id)->assertRedirect('/sign-in');
    }

    public function test_only_the_picture_itself_is_kept_small_enough_for_a_tablet(): void
    {
        $job = $this->plan();
        $this->send($job, 'found', self::file('big.jpg', self::jpeg(3000, 1500).'<?php echo 1; ?>'));
        $photo = Photo::query()->sole();
        self::assertSame([2000, 1000], [$photo->width, $photo->height]);
        self::assertStringNotContainsString('<?php', (string) file_get_contents($photo->path()));
        self::assertSame([420, 210], array_slice((array) getimagesize($photo->path(small: true)), 0, 2));
        $shown = $this->get("/photos/{$photo->id}")->assertOk();
        $shown->assertHeader('Content-Type', 'image/jpeg')->assertHeader('X-Content-Type-Options', 'nosniff');
        $this->get("/photos/{$photo->id}/small")->assertOk();
        $this->get('/photos/'.Str::ulid())->assertNotFound();
        $this->get("/photos/{$photo->id}/huge")->assertNotFound();
    }

    public function test_sent_twice_it_counts_once_and_a_caption_can_be_corrected_or_the_photograph_taken_back(): void
    {
        $job = $this->plan();
        foreach ([1, 2] as $_) {
            $this->send($job, 'found', self::file('a.jpg', self::jpeg()), 'Tank', 'photo-key-0001');
        }
        self::assertSame([1, 1], [Photo::query()->count(), JournalLine::query()->where('form', 'photo')->count()]);
        $seq = (int) JournalLine::query()->where('form', 'photo')->value('seq');
        $this->get("/jobs/{$job->id}/entries/{$seq}")->assertOk()->assertSee('Correct an entry');
        $this->post(
            "/jobs/{$job->id}/entries/{$seq}",
            ['key' => 'correct-0001', 'fields' => ['caption' => 'Tank, dirty'], 'reason' => ''],
        );
        $this->get("/jobs/{$job->id}")->assertSee('Tank, dirty')->assertSee('/small"', false);
        $this->post(
            "/jobs/{$job->id}/entries/{$seq}",
            ['key' => 'correct-0002', 'take_back' => '1', 'reason' => 'wrong vehicle'],
        );
        $this->get("/jobs/{$job->id}")->assertDontSee('/small"', false);
        $this->finish($job, 'found')->assertSessionHasErrors('finish');
        self::assertSame(0.0, $job->state()->ledger()->contentMl, 'a photograph is no reading');
    }

    /** @return array<string, array{string, string, string}> name, content, complaint */
    public static function refused(): array
    {
        return [
            'text called .jpg' => ['note.jpg', 'not a picture at all', 'not a photograph'], 'a script' => [
                'shell.php', '<?php system("id");', 'such a name',
            ], 'SVG' => ['a.svg', '<svg xmlns="http://www.w3.org/2000/svg"/>', 'such a name'],
            'GIF called .png' => [
                'a.png', "GIF89a\x01\x00\x01\x00\x00\x00\x00;", 'not a photograph',
            ], 'truncated JPEG' => [
                'cut.jpg', substr(self::jpeg(), 0, 3000), 'only in part',
            ],
            'truncated PNG' => [
                'cut.png', substr(self::png(), 0, 400), 'only in part',
            ], 'cut in the middle, end kept' => [
                'mid.jpg', substr(self::jpeg(), 0, 2500).substr(self::jpeg(), -2), 'only in part',
            ], 'empty' => ['empty.jpg', '', 'not a photograph'],
            'folders in the name' => [
                '../../../etc/passwd.jpg', self::jpeg(8, 8), 'such a name',
            ], 'control characters' => [
                "a\x07b.jpg", self::jpeg(8, 8), 'such a name',
            ], 'double ending' => ['a.php.jpg', self::jpeg(8, 8), 'such a name'],
            'markup' => ['<img src=x>.jpg', self::jpeg(8, 8), 'such a name'], 'very long' => [
                str_repeat('a', 400).'.jpg', self::jpeg(8, 8), 'such a name',
            ], 'broken UTF-8' => ["\xC3\x28.jpg", self::jpeg(8, 8), 'such a name'],
            '13 MB' => ['huge.jpg', self::jpeg(8, 8).str_repeat("\0", 13 * 1024 * 1024), 'larger than 12 MB'],
        ];
    }

    #[DataProvider('refused')]
    public function test_is_refused_clearly_and_nothing_is_stored(
        string $name,
        string $content,
        string $complaint,
    ): void {
        $job = $this->plan();
        $answer = $this->send($job, 'found', self::file($name, $content), 'kept caption');
        $answer->assertSessionHasErrors('photo');
        self::assertStringContainsString($complaint, (string) session('errors')->first('photo'));
        self::assertSame('kept caption', session()->getOldInput('caption'));
        self::assertSame([0, 0], [Photo::query()->count(), JournalLine::query()->count()]);
        self::assertSame([], glob(config('aqbel.photos')."/{$job->id}/*") ?: []);
    }

    public function test_more_pixels_than_memory_is_refused_before_they_are_unpacked(): void
    {
        // A valid PNG header of 30000 × 30000 and nothing behind it: 2.7 GB once unpacked.
        $header = pack('N', 13).'IHDR'.pack('NNCCCCC', 30000, 30000, 8, 2, 0, 0, 0);
        $bomb = "\x89PNG\r\n\x1a\n".$header.pack(
            'N',
            crc32(substr($header, 4)),
        ).pack('N', 0).'IEND'.pack('N', crc32('IEND'));
        $this->send($this->plan(), 'found', self::file('bomb.png', $bomb, 'image/png'));
        self::assertStringContainsString('24 million pixels', (string) session('errors')->first('photo'));
    }

    public function test_a_job_and_a_shop_take_so_many_and_say_so(): void
    {
        $job = $this->plan();
        config(['aqbel.photo_mb' => 0.0001]);
        $this->send($job, 'found', self::file('one.jpg', self::jpeg(8, 8)))->assertSessionHasNoErrors();
        $this->send($job, 'found', self::file('two.jpg', self::jpeg(8, 8)))->assertSessionHasErrors('photo');
        self::assertStringContainsString('AQBEL_PHOTO_MB', session('errors')->first('photo'));
        config(['aqbel.photo_mb' => 10.0]);
        $this->get('/shop')->assertSee('They take 1 of 10 MB');
        foreach (range(1, 59) as $i) {
            Photo::query()->create(['job_id' => $job->id, 'width' => 8, 'height' => 8, 'bytes' => 1]);
        }
        $this->send($job, 'found', self::file('many.jpg', self::jpeg(8, 8)))->assertSessionHasErrors('photo');
        self::assertStringContainsString('has 60 photographs', session('errors')->first('photo'));
    }

    public function test_large_pictures_never_hold_all_workers(): void
    {
        $job = $this->plan();
        $held = array_map(fn () => DecodingSlot::take(), range(1, DecodingSlot::SLOTS));
        self::assertNull(DecodingSlot::take());
        $this->send($job, 'found', self::file('one.jpg', self::jpeg(8, 8)))->assertSessionHasErrors('photo');
        $this->postJson("/jobs/{$job->id}/photos", [
            'key' => 'photograph-0009',
            'step' => 'found',
            'photo' => self::file('one.jpg', self::jpeg(8, 8)),
        ])
            ->assertStatus(503)
            ->assertJson(['key' => 'photograph-0009']);
        $held = [];
        $this->send($job, 'found', self::file('one.jpg', self::jpeg(8, 8)))->assertSessionHasNoErrors();
        self::assertSame(1, Photo::query()->count());
    }

    public function test_a_body_larger_than_the_server_takes_is_answered_in_words(): void
    {
        $job = $this->plan();
        $this->actingAs($this->imre)
            ->call('POST', "/jobs/{$job->id}/photos", server: ['CONTENT_LENGTH' => (string) (1 << 40)])
            ->assertStatus(413)
            ->assertSee('far too large')
            ->assertSee('Nothing was stored');
    }

    public function test_missing_file_foreign_step_and_steps_ahead_are_refused(): void
    {
        $job = $this->plan();
        $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/photos", ['key' => 'photo-0001', 'step' => 'found', 'photo' => 'text'])
            ->assertSessionHasErrors('photo');
        $this->send($job, 'nowhere', self::file('a.jpg', self::jpeg(8, 8)))->assertSessionHasErrors('finish');
        $this->send($job, 'mix', self::file('a.jpg', self::jpeg(8, 8)))->assertSessionHasErrors('finish');
        self::assertSame(0, Photo::query()->count());
    }

    public function test_the_page_s_own_sending_is_told_where_to_go_on(): void
    {
        $job = $this->plan();
        $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->postJson(
                "/jobs/{$job->id}/entries",
                [
                    'key' => 'json-key-0001',
                    'step' => 'found',
                    'form' => 'found',
                    'stay' => '1',
                    'fields' => ['content' => 'full'],
                ],
            )
            ->assertOk()
            ->assertExactJson([
                'stored' => true,
                'key' => 'json-key-0001',
                'person' => (string) $this->imre->id,
                'to' => url("/jobs/{$job->id}?step=found"),
            ]);
        $this->postJson("/jobs/{$job->id}/entries", [
            'key' => 'json-key-0002',
            'step' => 'found',
            'form' => 'found',
            'fields' => ['content' => 'soup'],
        ])
            ->assertStatus(422)
            ->assertJson([
                'key' => 'json-key-0002',
                'errors' => ['content' => ['Choose one of the values shown.']],
                'to' => url("/jobs/{$job->id}"),
            ]);
        $this->get("/jobs/{$job->id}")->assertSee('Choose one of the values shown');
        $this->postJson("/jobs/{$job->id}/entries", [
            'key' => 'json-key-0003',
            'waited' => '1',
            'step' => 'found',
            'form' => 'found',
            'fields' => ['content' => 'soup'],
        ])
            ->assertStatus(422)
            ->assertJson(['message' => 'Choose one of the values shown.']);
    }

    public function test_two_that_waited_on_one_tablet_keep_their_order_within_seconds(): void
    {
        $this->freezeSecond();
        $job = $this->plan();
        $this->travel(3)->hours();
        $enter = fn (string $key, int $age) => $this->actingAs($this->imre)->from("/jobs/{$job->id}")->post(
            "/jobs/{$job->id}/entries",
            ['key' => $key, 'age' => (string) $age, 'step' => 'found', 'form' => 'found', 'fields' => ['content' => 'full']],
        )->assertSessionHasNoErrors();
        $order = fn (): array => array_column($job->state()->entries, 'seq');
        $enter('in-order-0001', 600);
        // Pressed a moment later; the first was longer on its way, or seconds were rounded so.
        $enter('in-order-0002', 601);
        $enter('in-order-0003', 602);
        self::assertSame([1, 2, 3], $order());
        // What really was earlier stands where it was.
        $enter('in-order-0004', 610);
        self::assertSame([4, 1, 2, 3], $order());
        $enter('in-order-0005', 0);
        self::assertSame([4, 1, 2, 3, 5], $order());
    }

    public function test_an_entry_that_waited_keeps_its_own_time_and_says_when_it_arrived(): void
    {
        $this->freezeSecond();
        $job = $this->plan();
        $planned = now()->getTimestamp();
        $enter = fn (string $key, string $age) => $this->actingAs($this->imre)->from("/jobs/{$job->id}")->post(
            "/jobs/{$job->id}/entries",
            ['key' => $key, 'age' => $age, 'step' => 'found', 'form' => 'found', 'fields' => ['content' => 'full']],
        )->assertSessionHasNoErrors();
        $last = fn (): JournalLine => JournalLine::query()->orderByDesc('seq')->firstOrFail();
        $this->travel(64)->hours();
        $enter('late-key-0001', '90');
        self::assertSame([now()->getTimestamp() - 90, now()->getTimestamp()], [$last()->at, $last()->arrived]);
        $enter('late-key-0002', (string) (60 * 3600));
        self::assertSame(
            now()->getTimestamp() - 60 * 3600,
            $last()->at,
            'over the weekend, whole, and behind a later one',
        );
        self::assertSame([2, 1], array_column($job->state()->entries, 'seq'), 'and stands in its own place');
        $enter('late-key-0003', (string) (100 * 3600));
        self::assertSame($planned, $last()->at, 'not before its job was planned');
        $enter('late-key-0004', 'tomorrow');
        $enter('late-key-0005', '-500');
        self::assertLessThanOrEqual(now()->getTimestamp(), JournalLine::query()->max('at'));
        $this->get("/jobs/{$job->id}?step=found")
            ->assertSee('came in 60 h 00 later')
            ->assertSee('came in 2 min later');
        $this->walk($job)->until('sign_off');
        $this->get("/jobs/{$job->id}")->assertSee('Not in order of time');
        $this->get("/jobs/{$job->id}/record")->assertSee('came in 60 h 00 later');
    }

    public function test_a_signed_job_takes_no_more(): void
    {
        $job = $this->plan();
        $this->walk($job)->until(null);
        $this->send($job, 'found', self::file('a.jpg', self::jpeg(8, 8)))->assertSessionHasErrors('finish');
        self::assertLessThan(64 * 1024 * 1024, Photograph::MOST_BYTES);
    }

    private function send(
        Job $job,
        string $step,
        UploadedFile $file,
        string $caption = '',
        ?string $key = null,
    ): TestResponse {
        return $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->post(
                "/jobs/{$job->id}/photos",
                ['key' => $key ?? (string) Str::uuid(), 'step' => $step, 'caption' => $caption, 'photo' => $file],
            );
    }

    private static function file(string $name, string $content, string $type = 'image/jpeg'): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'aqbel');
        file_put_contents($path, $content);

        return new UploadedFile($path, $name, $type, null, true);
    }

    private static function jpeg(int $width = 640, int $height = 480): string
    {
        return self::drawn($width, $height, 'imagejpeg');
    }

    private static function png(): string
    {
        return self::drawn(200, 150, 'imagepng');
    }

    private static function drawn(int $width, int $height, callable $write): string
    {
        mt_srand(3);
        $image = imagecreatetruecolor($width, $height);
        for ($i = 0; $i < 60; $i++) {
            imagefilledellipse(
                $image,
                mt_rand(0, $width),
                mt_rand(0, $height),
                40,
                30,
                (int) imagecolorallocate($image, mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255)),
            );
        }
        ob_start();
        $write($image);

        return (string) ob_get_clean();
    }
}
