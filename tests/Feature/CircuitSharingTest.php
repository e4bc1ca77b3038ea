<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\CircuitPhoto;
use App\Models\Person;
use App\Models\Photo;
use Aqbel\Core\Circuit\PortKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Demo;

/** A circuit as a file, a package of several, and what differs from ours where one comes in. */
final class CircuitSharingTest extends ShopTestCase
{
    private Person $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = Person::query()->where('login', 'sunniva')->firstOrFail();
    }

    public function test_an_exported_circuit_comes_back_unchanged(): void
    {
        foreach (Circuit::query()->get() as $circuit) {
            $exported = (string) $this->actingAs($this->lead)
                ->get("/circuits/{$circuit->id}/export")
                ->assertOk()
                ->getContent();
            // Where it is, nothing is brought in; elsewhere it is what it was.
            $this->bring($exported)
                ->assertRedirect('/circuits')
                ->assertSessionHas('notice', '1 here already, the same in every part.');
            $elsewhere = (string) json_encode(
                [...json_decode($exported, true), 'name' => "{$circuit->name}, elsewhere"],
                JSON_PRESERVE_ZERO_FRACTION,
            );
            $this->bring($elsewhere)->assertSessionHasNoErrors()->assertRedirect();
            $imported = Circuit::query()->latest('id')->firstOrFail();
            self::assertSame([...$circuit->document, 'name' => "{$circuit->name}, elsewhere"], $imported->document);
            $again = json_decode((string) $this->get("/circuits/{$imported->id}/export")->getContent(), true);
            self::assertEquals(
                [...json_decode($exported, true), 'name' => $imported->name, 'drawing' => $again['drawing']],
                $again,
            );
            self::assertStringContainsString('<svg', $again['drawing']);
        }
    }

    private function bring(string $content): TestResponse
    {
        return $this->from('/circuits')->post('/circuits', [
            'file' => UploadedFile::fake()->createWithContent('c.json', $content),
        ]);
    }

    public function test_what_differs_from_ours_is_shown_part_by_part_and_somebody_says_which_to_keep(): void
    {
        $ours = Circuit::query()->where('key', 'post-van')->firstOrFail();
        $theirs = $ours->document;
        $theirs['nodes'][0]['z_mm'] += 25;
        $theirs['passages'][0]['volume_ml'] += 300;
        $theirs['facts']['cap_kpa'] = 125;
        $theirs['ports'][] = [
            'id' => 'extra',
            'node' => $theirs['nodes'][0]['id'],
            'kind' => 'bleed',
            'label' => 'Screw nobody had',
        ];
        $page = $this->actingAs($this->lead);
        $page = $this->bring((string) json_encode($theirs))
            ->assertOk()
            ->assertSee('is here already')
            ->assertSee('Point: Screw nobody had')
            ->assertSee('cap, kPa');
        self::assertSame(
            $ours->id,
            (int) Circuit::query()->where('key', 'post-van')->max('id'),
            'nothing is stored yet',
        );
        $sent = fn (array $more): array => ['document' => json_encode($theirs), 'rest' => '[]', ...$more];
        $this->actingAs($this->imre)
            ->post("/circuits/{$ours->id}/merge", $sent(['take' => ['facts.cap_kpa']]))
            ->assertForbidden();
        $this->actingAs($this->lead)
            ->post(
                "/circuits/{$ours->id}/merge",
                $sent(['take' => ['passages.'.$theirs['passages'][0]['id'], 'ports.extra']]),
            )
            ->assertRedirect();
        $newest = $ours->newestRevision();
        self::assertSame($theirs['passages'][0]['volume_ml'], $newest->document['passages'][0]['volume_ml']);
        self::assertSame(
            $ours->document['nodes'][0]['z_mm'],
            $newest->document['nodes'][0]['z_mm'],
            'ours in the rest',
        );
        self::assertSame($ours->document['facts'], $newest->document['facts']);
        self::assertContains('extra', array_column($newest->document['ports'], 'id'));
        // None ticked: ours stays. A circuit of its own: ours stays too.
        $this->post("/circuits/{$ours->id}/merge", $sent([]))->assertRedirect('/circuits');
        self::assertSame($newest->id, $ours->newestRevision()->id);
        $this->post("/circuits/{$ours->id}/merge", $sent(['own' => '1']))->assertRedirect('/circuits');
        self::assertEquals($theirs, Circuit::query()->latest('id')->firstOrFail()->document);
        self::assertSame($newest->id, $ours->newestRevision()->id);
        // What does not go together is refused, and nothing is half taken.
        $apart = [
            ...$theirs,
            'nodes' => [...$theirs['nodes'], ['id' => 'far', 'x_mm' => 0, 'z_mm' => 900, 'label' => 'far']],
        ];
        $apart['ports'][count($apart['ports']) - 1] = [...end($apart['ports']), 'id' => 'farther', 'node' => 'far'];
        $apart['passages'][] = [
            'id' => 'to_far',
            'from' => $theirs['nodes'][0]['id'],
            'to' => 'far',
            'volume_ml' => 40,
            'kind' => 'hose',
            'label' => 'to far',
        ];
        $before = Circuit::query()->max('id');
        $this->post("/circuits/{$ours->id}/merge", [
            'document' => json_encode($apart),
            'rest' => '[]',
            'take' => ['ports.farther'],
        ])
            ->assertUnprocessable()
            ->assertSee('do not go together')
            ->assertSee('value="ports.farther" checked', false);
        self::assertSame($before, Circuit::query()->max('id'));
        $this->post("/circuits/{$ours->id}/merge", [
            'document' => json_encode($apart),
            'rest' => '[]',
            'take' => ['ports.farther', 'nodes.far', 'passages.to_far'],
        ])->assertSessionHasNoErrors();
    }

    public function test_a_part_that_somebody_changed_since_it_was_shown_is_not_taken_over_unseen(): void
    {
        $ours = Circuit::query()->where('key', 'post-van')->firstOrFail();
        $theirs = $ours->document;
        $theirs['facts']['cap_kpa'] = 125;
        $theirs['nodes'][0]['z_mm'] += 25;
        $changed = $ours->document;
        $changed['facts']['cap_kpa'] = 133;
        $meanwhile = NewRevision::of($ours, $changed, $this->lead);
        $sent = fn (string ...$take): array => ['document' => json_encode($theirs), 'rest' => '[]', 'take' => $take];
        $this->actingAs($this->lead)
            ->post("/circuits/{$ours->id}/merge", $sent('facts.cap_kpa'))
            ->assertUnprocessable()
            ->assertSee('changed meanwhile')
            ->assertSee('ours <b class="num">133</b>', false)
            ->assertSee("/circuits/{$meanwhile->id}/merge", false);
        self::assertSame($meanwhile->id, $ours->newestRevision()->id);
        // What nobody touched is taken onto the newest; the other, once it was seen as it is.
        $node = $theirs['nodes'][0]['id'];
        $this->post("/circuits/{$ours->id}/merge", $sent("nodes.{$node}"))->assertRedirect();
        self::assertSame(133, $ours->newestRevision()->document['facts']['cap_kpa']);
        $this->post("/circuits/{$meanwhile->id}/merge", $sent('facts.cap_kpa'))->assertRedirect();
        self::assertSame(
            [125, $theirs['nodes'][0]['z_mm']],
            [
                $ours->newestRevision()->document['facts']['cap_kpa'],
                $ours->newestRevision()->document['nodes'][0]['z_mm'],
            ],
        );
    }

    public function test_photographs_of_its_points_go_along_and_are_shown_where_it_comes_in(): void
    {
        $job = $this->plan('SKP 031');
        $circuit = $job->circuit;
        $port = $circuit->read()->portIds(PortKind::Drain)[0];
        $this->walk($job)->until("drain:{$port}");
        ob_start();
        imagejpeg(imagecreatetruecolor(900, 600));
        $jpeg = (string) ob_get_clean();
        $this->actingAs($this->imre)
            ->post("/jobs/{$job->id}/photos", [
                'key' => 'point-photo-1',
                'step' => "drain:{$port}",
                'caption' => 'SKP 031, Imre',
                'photo' => UploadedFile::fake()->createWithContent('a.jpg', $jpeg),
            ])
            ->assertSessionHasNoErrors();
        $this->actingAs($this->lead)
            ->get("/circuits/{$circuit->id}")
            ->assertOk()
            ->assertSee('/photos/'.Photo::query()->sole()->id, false);
        $exported = (string) $this->get("/circuits/{$circuit->id}/export")
            ->assertOk()
            ->getContent();
        $file = json_decode($exported, true);
        self::assertSame([$port], array_column($file['photos'], 'port'));
        self::assertStringNotContainsString('Imre', $exported);
        self::assertSame(
            $file['photos'],
            collect(
                json_decode((string) $this->get('/circuits/package.json')->getContent(), true)['circuits'],
            )->firstWhere('name', $circuit->name)['photos'],
        );
        // Elsewhere, where nobody has seen one: as a circuit of its own, and kept beside the document, not in it.
        $this->bring((string) json_encode(['name' => 'Of another shop'] + $file))->assertSessionHasNoErrors();
        $came = Circuit::query()->latest('id')->firstOrFail();
        self::assertSame('Of another shop', $came->name);
        self::assertArrayNotHasKey('photos', $came->document);
        $photo = CircuitPhoto::query()->sole();
        $this->get("/circuits/{$came->id}")
            ->assertOk()
            ->assertSee("/circuits/photos/{$photo->id}", false);
        self::assertSame(
            [420, 280],
            array_slice(
                (array) getimagesizefromstring(
                    (string) $this->get("/circuits/photos/{$photo->id}")
                        ->assertOk()
                        ->assertHeader('Content-Type', 'image/jpeg')
                        ->getContent(),
                ),
                0,
                2,
            ),
        );
        self::assertSame(
            [$port],
            array_column(
                json_decode((string) $this->get("/circuits/{$came->id}/export")->getContent(), true)['photos'],
                'port',
            ),
            'and from there it goes on',
        );
        // Ours has one of that point already: nothing is put beside it, and what is no picture is refused by its place.
        $this->bring($exported)->assertSessionHas('notice', '1 here already, the same in every part.');
        self::assertSame(1, CircuitPhoto::query()->count());
        $bad = fn (array $photo) => $this->bring(
            (string) json_encode([...$file, 'name' => 'Bad', 'photos' => [$photo]]),
        );
        $bad(['port' => 'nowhere', 'jpeg' => base64_encode($jpeg)])->assertSessionHasErrors('photos.0.port');
        $bad(['port' => $port, 'jpeg' => base64_encode('<?php')])->assertSessionHasErrors('photos.0.jpeg');
        $bad(['port' => $port, 'jpeg' => '?'])->assertSessionHasErrors('photos.0.jpeg');
        $this->post('/sign-out');
        $this->get("/circuits/photos/{$photo->id}")->assertRedirect('/sign-in');
    }

    public function test_a_package_of_all_circuits_comes_into_another_shop_and_asks_only_where_it_differs(): void
    {
        $file = (string) $this->actingAs($this->lead)->get('/circuits/package.json')->assertOk()->getContent();
        $package = json_decode($file, true);
        self::assertSame('aqbel-circuits/1', $package['format']);
        $all = count($package['circuits']);
        self::assertSame(Circuit::query()->newest()->count(), $all);
        $this->bring($file)->assertSessionHas('notice', "{$all} here already, the same in every part.");
        $package['circuits'][0]['name'] = 'A new one';
        $package['circuits'][1]['facts']['cap_kpa'] = 33;
        $page = $this->bring((string) json_encode($package))
            ->assertOk()
            ->assertSee('is here already')
            ->assertSee($all - 2 .' more of the package follow');
        self::assertSame('A new one', Circuit::query()->latest('id')->value('name'));
        preg_match('#<textarea name="rest"[^>]*>(.*?)</textarea>#s', (string) $page->getContent(), $rest);
        $ours = Circuit::query()->where('name', $package['circuits'][1]['name'])->latest('id')->firstOrFail();
        $this->post("/circuits/{$ours->id}/merge", [
            'document' => json_encode($package['circuits'][1]),
            'rest' => html_entity_decode($rest[1]),
            'take' => ['facts.cap_kpa'],
        ])
            ->assertRedirect('/circuits')
            ->assertSessionHas('notice', $all - 2 .' here already, the same in every part.');
        self::assertSame(33, $ours->newestRevision()->document['facts']['cap_kpa']);
        // One that cannot be read is named by its place, and nothing of the package comes in.
        $package['circuits'][0]['name'] = 'Another new one';
        $package['circuits'][2]['nodes'][0]['z_mm'] = -5;
        $before = Circuit::query()->max('id');
        $this->bring((string) json_encode($package))->assertSessionHasErrors('circuits.2.nodes.0.z_mm');
        self::assertSame($before, Circuit::query()->max('id'));
        $this->bring('{"format": "aqbel-circuits/1", "circuits": []}')->assertSessionHasErrors('circuits');
    }

    #[DataProvider('badFiles')]
    public function test_a_bad_file_is_refused_with_its_place_and_changes_nothing(string $content, string $field): void
    {
        $before = Circuit::query()->count();
        $this->actingAs($this->lead)
            ->from('/circuits')
            ->post('/circuits', ['file' => UploadedFile::fake()->createWithContent('c.json', $content)])
            ->assertRedirect('/circuits')
            ->assertSessionHasErrors($field);
        self::assertSame($before, Circuit::query()->count());
    }

    /** @return array<string, array{string, string}> */
    public static function badFiles(): array
    {
        $many = json_encode(['format' => 'aqbel-circuit/1', 'name' => 'x', 'nodes' => [
            ['id' => 'a', 'x_mm' => 0, 'z_mm' => 1], ['id' => 'b', 'x_mm' => 0, 'z_mm' => 9],
        ], 'ports' => [['id' => 'f', 'node' => 'a', 'kind' => 'fill']],
            'passages' => array_map(
                fn (int $i) => ['id' => "p{$i}", 'from' => 'a', 'to' => 'b', 'volume_ml' => 1],
                range(1, 10000),
            )]);

        return [
            'not JSON' => ['{', 'file'],
            'a number' => ['7', 'file'],
            'other format' => ['{"format":"x"}', 'format'],
            'huge' => [str_repeat(' ', 1_000_001), 'file'],
            'deep' => [str_repeat('[', 100).str_repeat(']', 100), 'file'],
            '10,000 passages' => [(string) $many, 'passages'],
            'no lists' => ['{"format":"aqbel-circuit/1","name":"x"}', 'nodes'],
            'hostile name' => [(string) json_encode([...Demo::document('post-van'), 'name' => "a\0b"]), 'name'],
        ];
    }
}
