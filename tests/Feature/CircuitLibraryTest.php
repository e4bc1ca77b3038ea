<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Person;
use App\Models\Vehicle;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Format\Fact;
use Aqbel\Core\Circuit\Format\FactKind;
use Aqbel\Core\Circuit\Format\Vocabulary;
use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Opis\JsonSchema\Validator;
use Tests\Demo;

/** The circuits of a shop: the format, who changes what, the editor, and how they are shown. */
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
                fn (object $d) => $d->nodes[0]->id = '12',
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
