<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Calc\TopicList;
use App\Models\Circuit;
use App\Models\Job;
use App\Models\JournalLine;
use App\Models\Person;
use App\Models\Vehicle;
use App\Models\Visit;
use App\Record\JobDocument;
use App\Record\JobImport;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\Group;
use Tests\Demo;
use Tests\Journeys\Journey;

/** Jobs that leave as data, and come back as they were. */
final class DataTest extends ShopTestCase
{
    public function test_a_job_goes_out_comes_into_another_shop_and_goes_out_again_to_the_byte(): void
    {
        $job = $this->signed();
        $file = (string) $this->get("/jobs/{$job->id}/job.json")->assertOk()->getContent();
        $this->assertFitsTheSchema($file);
        $plate = $job->vehicle->plate;
        $this->emptyShop();
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->actingAs($this->imre)
            ->post('/records/import', ['file' => UploadedFile::fake()->createWithContent('job.json', $file)])
            ->assertForbidden();
        $this->actingAs($lead)
            ->post('/records/import', ['file' => UploadedFile::fake()->createWithContent('job.json', $file)])
            ->assertSessionHasNoErrors();
        $came = Job::query()->latest('id')->firstOrFail();
        self::assertSame(
            $file,
            $this->get("/jobs/{$came->id}/job.json")
                ->assertOk()
                ->getContent(),
        );
        $page = $this->get("/jobs/{$came->id}/record")
            ->assertOk()
            ->assertSee('Brought in from another shop')
            ->assertSee($plate)
            ->assertSee('Unchanged since it was signed')
            ->assertSee('250 mL')
            ->assertSee('Planned by Imre Tovald');
        $page->assertDontSee('Write down a look');
        $this->get("/jobs/{$came->id}/record.pdf")->assertOk();
        $this->get("/jobs/{$came->id}/readings.csv")->assertOk();
        $this->get('/records')->assertOk()->assertSee($came->number());
        $this->get("/vehicles/{$came->vehicle_id}")->assertOk();
        // It is read, and never written on.
        $this->post("/jobs/{$came->id}/entries", [
            'step' => 'found',
            'form' => 'found',
            'key' => 'imported-0001',
            'fields' => ['content' => 'full'],
        ]);
        self::assertSame(0, $came->lines()->count());
        $this->post("/jobs/{$came->id}/visits", [
            'fields' => ['level' => 'at_mark', 'vessel' => 'jug'],
            'key' => 'imported-0002',
        ])->assertSessionHasErrors('visit');
        self::assertSame($file, $this->get("/jobs/{$came->id}/job.json")->getContent());
        // Twice is once.
        $this->post('/records/import', [
            'file' => UploadedFile::fake()->createWithContent('job.json', $file),
        ])->assertSessionHasErrors('file');
        // Whoever changes it afterwards breaks its seal.
        $came->update(['document' => str_replace('5.9', '6.9', $file)]);
        $this->get("/jobs/{$came->id}/record")->assertSee('Changed since it was signed');
    }

    #[Group('one-database')]
    public function test_every_journey_comes_back_as_it_went_out(): void
    {
        $vehicle = Vehicle::query()->firstOrFail();
        $files = [];
        foreach (glob(dirname(__DIR__).'/Journeys/jobs/*.json') ?: [] as $i => $journey) {
            if (DB::getDriverName() === 'pgsql' && $i % 10 !== 0) {
                continue; // what the other database could do to a document it does to ten of them
            }
            $played = Journey::read($journey);
            $played->play();
            $layout = json_decode((string) file_get_contents($journey), true)['layout'] ?? null;
            if ($layout !== null) {
                $made = Demo::layoutDocument($layout);
                Circuit::query()->create([
                    'key' => $layout,
                    'revision' => 1,
                    'name' => $made['name'],
                    'document' => $made,
                ]);
            }
            $files[basename($journey, '.json')] = [
                JobDocument::file($this->stored($played->state(), $vehicle), StepCatalogue::standard()),
                $played->state()->ledger()->contentMl,
            ];
        }
        self::assertGreaterThan(DB::getDriverName() === 'pgsql' ? 15 : 150, count($files));
        $this->emptyShop();
        foreach ($files as $name => [$file, $contentMl]) {
            $came = JobImport::of($file, $this->imre);
            self::assertSame($file, JobDocument::file($came->refresh(), StepCatalogue::standard()), $name);
            self::assertEqualsWithDelta($contentMl, $came->state()->ledger()->contentMl, 1.0e-6, $name);
        }
    }

    public function test_calc_job_reads_what_left(): void
    {
        $job = $this->signed();
        $file = (string) $this->get("/jobs/{$job->id}/job.json")->getContent();
        $said = TopicList::answer('job', $file);
        $told = json_decode($file, true);
        self::assertEquals($told['results']['ledger'], $said['ledger']);
        self::assertNull($said['next']);
        self::assertSame(array_column($told['results']['steps'], 'verdict'), array_column($said['steps'], 'verdict'));
    }

    public function test_what_is_broken_or_foreign_is_refused_and_nothing_is_changed(): void
    {
        $job = $this->signed();
        $file = (string) $this->get("/jobs/{$job->id}/job.json")->getContent();
        $without = function (string $path) use ($file): string {
            $told = json_decode($file, true);
            $at = &$told;
            $keys = explode('.', $path);
            foreach (array_slice($keys, 0, -1) as $key) {
                $at = &$at[$key];
            }
            unset($at[$keys[count($keys) - 1]]);

            return (string) json_encode($told);
        };
        $with = fn (string $was, string $is): string => (string) preg_replace($was, $is, $file, 1);
        $counts = fn (): array => [
            Job::query()->count(),
            Vehicle::query()->count(),
            Circuit::query()->count(),
            \App\Models\AuditLine::query()->count(),
        ];
        $before = $counts();
        foreach (
            [
                'file' => [
                    substr($file, 0, -200),
                    '',
                    '{}',
                    '[1]',
                    $with('#aqbel-job/1#', 'something/1'),
                    str_replace('"5', "\xff", $file),
                ],
                'plan' => [$without('plan')],
                'journal.0.form' => [$without('journal.0.form')],
                'journal.1.seq' => [$with('/"seq": 2,/', '"seq": 1,')],
                'circuit.nodes' => [$without('circuit.nodes')],
                'kind' => [$with('/"kind": "repair"/', '"kind": "wash"')],
            ] as $field => $broken
        ) {
            foreach ($broken as $text) {
                try {
                    JobImport::of($text, $this->imre);
                    self::fail("{$field}: taken");
                } catch (InvalidField $invalid) {
                    self::assertSame($field, $invalid->field, $invalid->getMessage());
                }
            }
        }
        self::assertSame($before, $counts());
    }

    public function test_tables_are_read_by_another_reader(): void
    {
        $job = $this->signed();
        foreach (
            [
                'readings' => "/jobs/{$job->id}/readings.csv",
                'jobs' => '/records/jobs.csv',
                'visits' => '/records/visits.csv',
                'stock' => '/records/stock.csv',
                'waste' => '/records/waste.csv',
            ] as $name => $path
        ) {
            $text = (string) $this->get($path)
                ->assertOk()
                ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
                ->getContent();
            $rows = $this->byPython($text);
            self::assertGreaterThan(1, count($rows), $name);
            self::assertSame(
                [count($rows[0])],
                array_values(array_unique(array_map(count(...), $rows))),
                "{$name}: every row has every column",
            );
        }
        $waste = $this->byPython((string) $this->get('/records/waste.csv')->getContent());
        self::assertSame(date('Y-m', $job->signed_at?->getTimestamp()), $waste[1][0]);
        self::assertEqualsWithDelta(5900.0, (float) $waste[1][2], 300.0);
        self::assertSame(['Dorn & Veit, "old oils"', 'W-77'], [$waste[1][3], $waste[1][4]]);
    }

    /** @return list<list<string>> */
    private function byPython(string $csv): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'aqbel');
        file_put_contents($file, $csv);
        $read = json_decode(
            (string) shell_exec(
                'python3 -c "import csv,json,sys; print(json.dumps(list(csv.reader(open(sys.argv[1], '
                    .'encoding=\'utf-8-sig\', newline=\'\')))))" '
                    .escapeshellarg($file),
            ),
            true,
        );
        unlink($file);

        return $read;
    }

    private function assertFitsTheSchema(string $file): void
    {
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/aqbel-job-1.schema.json'));
        $result = (new Validator())->validate(json_decode($file), $schema);
        self::assertTrue(
            $result->isValid(),
            (string) json_encode(
                $result->error() === null
                    ? ''
                    : (new \Opis\JsonSchema\Errors\ErrorFormatter())->format($result->error()),
            ),
        );
        $broken = json_decode($file);
        unset($broken->journal[0]->at);
        self::assertFalse((new Validator)->validate($broken, $schema)->isValid());
    }

    /** A played journey as a job of this shop, line by line as the recorder stores them. */
    private function stored(JobState $state, Vehicle $vehicle): Job
    {
        $circuit = Circuit::query()->where('name', $state->circuit->name)->firstOrFail();
        $first = $state->journal->lines[0]->at ?? 0;
        $job = Job::query()->create([
            'vehicle_id' => $vehicle->id,
            'circuit_id' => $circuit->id,
            'kind' => Plan::of($state->withOnly([]))->choices->jobKind->value,
            'plan' => PlanCodec::write(Plan::of($state->withOnly([]))),
            'planned_by' => $this->imre->id,
            'created_at' => Carbon::createFromTimestamp($first),
            'signed_at' => Carbon::createFromTimestamp($first + 86400),
        ]);
        foreach ($state->journal->lines as $i => $line) {
            JournalLine::query()->create([
                'job_id' => $job->id,
                'seq' => $line->seq,
                'key' => "journey-{$job->id}-{$i}",
                'person_id' => $this->imre->id,
                'step' => $line->step,
                'form' => $line->form,
                'at' => $line->at,
                'arrived' => $line->at,
                'values' => [
                    ...$line->values->toArray(),
                    ...$line->orders === []
                        ? []
                        : ['orders' => array_map(fn (Step $step) => $step->toArray(), $line->orders)],
                    ...$line->replacement === null ? [] : ['values' => $line->replacement->toArray()],
                    ...$line->planned instanceof Plan ? [Entry::PLAN => PlanCodec::write($line->planned)] : [],
                ],
                'typed' => $line->typed(),
            ]);
        }

        return $job;
    }

    private function signed(): Job
    {
        $job = $this->plan('SKP 660');
        $this->walk($job)
            ->until('dispose')
            ->enter('disposed', ['volume' => '5.9 l', 'disposer' => 'Dorn & Veit, "old oils"', 'paper' => 'W-77'])
            ->finish();
        $this->walk($job)->until(null);
        $due = Visit::query()->where('job_id', $job->id)->sole();
        $this->post("/jobs/{$job->id}/visits", [
            'visit' => $due->id,
            'key' => 'signed-visit-1',
            'fields' => ['level' => 'below', 'volume' => '250 mL', 'vessel' => 'syringe', 'celsius' => '20'],
        ])->assertSessionHasNoErrors();

        return $job->refresh();
    }

    /** Nobody's jobs, vehicles and circuits: people stay, to bring them in. */
    private function emptyShop(): void
    {
        foreach (
            [
                'job_facts',
                'visits',
                'photos',
                'container_movements',
                'containers',
                'journal_lines',
                'jobs',
                'vehicles',
                'circuits',
                'audit_lines',
            ] as $table
        ) {
            DB::table($table)->delete();
        }
    }
}
