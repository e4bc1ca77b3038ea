<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\CircuitPhoto;
use App\Models\Person;
use App\Models\Photo;
use App\Models\Vehicle;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Format\Fact;
use Aqbel\Core\Circuit\Format\FactKind;
use Aqbel\Core\Circuit\Format\Vocabulary;
use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Demo;

final class CircuitLibraryTest extends ShopTestCase
{
    private Person $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = Person::query()->where('login', 'sunniva')->firstOrFail();
    }

    public function test_every_circuit_is_valid_by_the_published_schema_and_mistakes_are_not(): void
    {
        $schema = json_decode((string) file_get_contents(public_path('formats/aqbel-circuit-1.schema.json')));
        $validator = new Validator;
        self::assertGreaterThanOrEqual(8, Circuit::query()->count());
        foreach (Circuit::query()->get() as $circuit) {
            $document = json_decode((string) json_encode($circuit->document));
            self::assertTrue($validator->validate($document, $schema)->isValid(), $circuit->name);
            foreach ([
                fn (object $d) => $d->format = 'other',
                fn (object $d) => $d->passages[0]->volume_ml = 0,
                fn (object $d) => $d->nodes[0]->id = '<b>',
                fn (object $d) => $d->nodes[0]->z_mm = -1,
                fn (object $d) => $d->ports = [],
            ] as $break) {
                $broken = unserialize(serialize($document));
                $break($broken);
                self::assertFalse($validator->validate($broken, $schema)->isValid());
            }
        }
    }

    /** One list of facts: what the schema says of each, the reader keeps to. */
    public function test_schema_and_reader_know_the_same_facts_with_the_same_bounds(): void
    {
        $schema = json_decode((string) file_get_contents(public_path('formats/aqbel-circuit-1.schema.json')), true)[
            'properties'
        ];
        $document = Demo::document('post-van');
        $document['covers'] ??= [['id' => 'tray', 'label' => 'Undertray']];
        foreach (Vocabulary::all() as $list => $facts) {
            $known = match ($list) {
                Vocabulary::CIRCUIT => array_intersect_key($schema, ['name' => 1, 'wheelbase_mm' => 1]),
                Vocabulary::FACTS => $schema['facts']['properties'],
                default => $schema[$list]['items']['properties'],
            };
            unset($known['id'], $facts['id']);
            self::assertEqualsCanonicalizing(array_keys($known), array_keys($facts), $list);
            foreach (array_filter($facts, fn (Fact $fact) => $fact->kind === FactKind::Number) as $name => $fact) {
                self::assertSame(
                    [$fact->least, $fact->most],
                    [(float) $known[$name]['minimum'], (float) $known[$name]['maximum']],
                    "{$list}.{$name}",
                );
                foreach ([$fact->least - 1.0, $fact->most + 1.0] as $beyond) {
                    $this->assertNotRead($document, $list, $name, $beyond);
                }
            }
            foreach (
                array_filter(
                    $facts,
                    fn (Fact $fact) => $fact->kind === FactKind::Choice && isset($known[$fact->name]['enum']),
                ) as $name => $fact
            ) {
                self::assertEqualsCanonicalizing($known[$name]['enum'], $fact->choices);
                $this->assertNotRead($document, $list, $name, 'no such thing');
            }
        }
    }

    /** @param  array<string, mixed>  $document */
    private function assertNotRead(array $document, string $list, string $name, mixed $value): void
    {
        $field = match ($list) {
            Vocabulary::CIRCUIT => $name,
            Vocabulary::FACTS => "facts.{$name}",
            default => "{$list}.0.{$name}",
        };
        data_set($document, $field, $value);
        try {
            CircuitReader::read($document);
            self::fail("{$field} may be ".json_encode($value));
        } catch (InvalidField $refused) {
            self::assertSame($field, $refused->field);
        }
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

    public function test_a_job_keeps_the_revision_it_was_planned_with(): void
    {
        $job = $this->plan('SKP 114');
        $circuit = Vehicle::query()->where('plate', 'SKP 114')->first()->circuit;
        $document = $circuit->document;
        $document['passages'][0]['volume_ml'] = 4000;
        $this->actingAs($this->lead)
            ->post("/circuits/{$circuit->id}", ['document' => json_encode($document)])
            ->assertSessionHasNoErrors();
        self::assertSame(1, $job->refresh()->circuit->revision);
        self::assertSame(2, Vehicle::query()->where('plate', 'SKP 114')->first()->circuit->revision);
        self::assertEqualsWithDelta(12390, $job->state()->circuit->capacityMl(), 0.1);
        $this->get('/circuits')->assertSee('revision 2');
    }

    public function test_a_save_from_a_stale_revision_is_refused_with_both_changes_shown(): void
    {
        $circuit = Circuit::query()->where('key', 'post-van')->firstOrFail();
        $change = function (int $passage, int $ml) use ($circuit): string {
            $document = $circuit->document;
            $document['passages'][$passage]['volume_ml'] = $ml;

            return (string) json_encode($document);
        };
        $this->actingAs($this->lead)
            ->post("/circuits/{$circuit->id}", ['document' => $change(0, 777)])
            ->assertRedirect();
        $newest = Circuit::query()->latest('id')->firstOrFail();
        $this->post("/circuits/{$circuit->id}", ['document' => $change(1, 888)])->assertStatus(409)
            ->assertSee('Somebody saved this circuit meanwhile')->assertSee('777')->assertSee('888');
        self::assertSame($newest->id, Circuit::query()->latest('id')->value('id'), 'nothing is stored');
        $this->post("/circuits/{$circuit->id}", ['document' => $change(1, 888), 'over' => $newest->id])
            ->assertRedirect();
        self::assertSame(3, Circuit::query()->latest('id')->firstOrFail()->revision);
    }

    public function test_the_editor_offers_every_kind_the_format_has(): void
    {
        $page = $this->actingAs($this->lead)->get('/circuits/1/edit')->assertOk();
        foreach ([...PassageKind::cases(), ...PortKind::cases(), ...GateKind::cases()] as $kind) {
            $page->assertSee('&quot;'.$kind->value.'&quot;', false);
        }
    }

    public function test_what_a_copy_has_from_its_layout_is_marked_until_somebody_has_looked_at_it(): void
    {
        $layout = Circuit::query()->where('key', 'post-van')->firstOrFail();
        $page = (string) $this->actingAs($this->lead)
            ->get("/circuits/new?from={$layout->id}")
            ->assertOk()
            ->getContent();
        preg_match('#<textarea name="document"[^>]*>(.*?)</textarea>#s', $page, $found);
        $document = (array) json_decode(html_entity_decode($found[1]), true);
        self::assertEqualsCanonicalizing(
            array_diff(array_keys($layout->document['facts']), ['source']),
            $document['from_layout'],
        );
        self::assertArrayNotHasKey('source', $document['facts'], 'whoever said so, said it of another vehicle');
        $this->post('/circuits', ['document' => json_encode($document)])->assertSessionHasNoErrors();
        $copy = Circuit::query()->latest('id')->firstOrFail();
        $this->get("/circuits/{$copy->id}")
            ->assertOk()
            ->assertSee('nobody has looked at it for this vehicle')
            ->assertSee('heights and volumes')
            ->assertSee('lets air by while shut');
        $this->get("/circuits/{$layout->id}")
            ->assertOk()
            ->assertDontSee('nobody has looked at it');
        $vehicle = Vehicle::query()->where('plate', 'SKP 114')->firstOrFail();
        $vehicle->update(['circuit_id' => $copy->id]);
        $this->get("/jobs/new?vehicle={$vehicle->id}")->assertOk()->assertSee('Not looked at for this vehicle');
        // All looked at, and measured: nothing is marked any more.
        $seen = $copy->document;
        $seen['from_layout'] = [];
        foreach (['nodes', 'passages', 'gates'] as $list) {
            $seen[$list] = array_map(fn (array $item) => [...$item, 'known_by' => 'tape'], $seen[$list]);
        }
        $this->post("/circuits/{$copy->id}", ['document' => json_encode($seen)])->assertSessionHasNoErrors();
        $this->get('/circuits/'.Circuit::query()->max('id'))->assertOk()->assertDontSee('nobody has looked at it');
        $this->get("/jobs/new?vehicle={$vehicle->id}")->assertOk()->assertDontSee('Not looked at for this vehicle');
    }

    public function test_technicians_look_and_leads_change(): void
    {
        $this->actingAs($this->imre)->get('/circuits/1')->assertOk()->assertDontSee('/circuits/1/edit');
        foreach ([
            ['get', '/circuits/1/edit'],
            ['get', '/circuits/new?from=1'],
            ['post', '/circuits'],
            ['post', '/circuits/1'],
            ['post', '/circuits/preview'],
        ] as [$method, $path]) {
            $this->{$method}($path)->assertForbidden();
        }
        $this->actingAs($this->lead)->get('/circuits/1/edit')->assertOk();
        $this->get('/circuits/new?from=1')->assertOk()->assertSee('copy');
        $this->get('/circuits/new')->assertNotFound();
    }

    public function test_the_preview_says_what_is_wrong_at_its_place(): void
    {
        $document = Circuit::query()->where('key', 'post-van')->first()->document;
        $preview = fn (array $d) => $this->actingAs($this->lead)->call(
            'POST',
            '/circuits/preview',
            content: (string) json_encode($d),
        );
        $preview($document)->assertOk()->assertSee('Stays inside');
        $document['facts']['capacity_ml'] = 12000;
        $preview($document)->assertOk()->assertSee('Scale the volumes');
        $document['nodes'][6]['z_mm'] = 350;
        $preview($document)->assertSee('lies no higher than the drain');
        $document['ports'][0]['node'] = 'nowhere';
        $preview($document)->assertOk()->assertJson(['field' => 'ports.0.node']);
    }

    public function test_the_elevation_view_stands_alone_as_svg(): void
    {
        $svg = $this->actingAs($this->imre)
            ->get('/circuits/1/elevation.svg')
            ->assertOk()
            ->assertHeader('Content-Type', 'image/svg+xml')
            ->getContent();
        $document = new \DOMDocument;
        self::assertTrue($document->loadXML((string) $svg));
        self::assertSame('http://www.w3.org/2000/svg', $document->documentElement->namespaceURI);
        self::assertStringContainsString('.el-wall', (string) $svg);
        self::assertStringNotContainsString('var(', (string) $svg);
    }

    public function test_small_and_large_come_from_the_library_to_a_signed_record(): void
    {
        foreach (['YT 2', 'GEN 1'] as $plate) {
            $job = $this->plan($plate);
            $this->walk($job)->until(null);
            self::assertNotNull($job->refresh()->signed_at, $plate);
            $this->actingAs($this->imre)->get("/jobs/{$job->id}/record")->assertOk()->assertSee($plate);
        }
    }

    public function test_the_library_sends_pictures_once_a_page_at_a_time_and_is_searched(): void
    {
        $page = $this->actingAs($this->imre)->get('/circuits')->assertOk();
        self::assertLessThan(40_000, strlen((string) $page->getContent()), 'drawings are fetched by themselves');
        $circuit = Circuit::query()->newest()->firstOrFail();
        foreach (['', '?theme=dark'] as $theme) {
            $this->get("/circuits/{$circuit->id}/outline.svg{$theme}")
                ->assertOk()
                ->assertHeader('Content-Type', 'image/svg+xml')
                ->assertHeader('Cache-Control', 'immutable, max-age=31536000, private')
                ->assertSee($theme === '' ? '#415955' : '#a3b8b3', false);
        }
        foreach (range(1, 30) as $i) {
            Circuit::query()->create([
                'key' => "copy-{$i}",
                'revision' => 1,
                'name' => "Zz copy {$i}",
                'document' => $circuit->document,
            ]);
        }
        $this->get('/circuits')->assertSee('More')->assertDontSee('Zz copy 9<', false);
        $this->get('/circuits?page=2')->assertSee('Before')->assertSee('Zz copy 9<', false);
        $this->get('/circuits?q=zz+9')
            ->assertSee('Zz copy 9<', false)
            ->assertSee('Zz copy 19<', false)
            ->assertDontSee('Zz copy 8<', false);
        foreach (['%', '_', '\\', 'nothing like it'] as $none) {
            $this->get('/circuits?q='.urlencode($none))->assertOk()->assertSee('Nothing found');
        }
        $this->get('/circuits?q[]=x&page[]=1')->assertOk();
    }

    public function test_each_part_says_what_it_holds_what_empties_it_and_what_came_out_there_last(): void
    {
        $job = $this->plan('SKP 031');
        $this->walk($job)->until('reconcile:1');
        $page = $this->get("/circuits/{$job->circuit_id}")
            ->assertOk()
            ->assertSee('What each part holds')
            ->assertSee('2.60 L ± ');
        $page
            ->assertSeeInOrder(['Radiator', 'Radiator drain cock', "came out there in {$job->number()}"])
            ->assertSee('no drain alone');
    }
}
