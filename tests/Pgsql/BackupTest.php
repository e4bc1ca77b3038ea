<?php

declare(strict_types=1);

namespace Tests\Pgsql;

use App\Backups\Backup;
use App\Backups\NoBackup;
use App\Backups\Restoring;
use App\Models\Job;
use App\Models\Person;
use App\Models\Photo;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Tests\Feature\ShopTestCase;

/** A shop in PostgreSQL goes into the same file as one in SQLite, and out of it into either. */
final class BackupTest extends ShopTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/aqbel-backup-'.bin2hex(random_bytes(6));
        mkdir("{$this->folder}/photos", recursive: true);
        config(['aqbel.folder' => $this->folder, 'aqbel.photos' => "{$this->folder}/photos"]);
    }

    protected function tearDown(): void
    {
        DB::purge('sqlite');
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_it_comes_back_row_by_row_and_goes_over_to_a_file(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('drain:left_plug');
        $this->actingAs($this->imre)->post("/jobs/{$job->id}/hand-over", ['to' => $this->imre->id]);
        $photo = new Photo(['job_id' => $job->id, 'width' => 1, 'height' => 1, 'bytes' => 9]);
        $photo->save();
        mkdir(dirname($photo->path()));
        file_put_contents($photo->path(), 'a picture');
        $was = self::rows();
        self::assertNotSame([], $was['journal_lines']);
        $backup = Backup::verified(Backup::make("{$this->folder}/backups")->file);

        // Not over what is here, unless that is kept.
        $this->imre->update(['name' => 'Changed afterwards']);
        $photo->delete();
        try {
            Restoring::from($backup->file, false);
            self::fail('restored over a shop');
        } catch (NoBackup $why) {
            self::assertStringContainsString('--replace', $why->getMessage());
        }
        $this->travel(1)->minutes();
        $said = Restoring::from($backup->file, true);
        self::assertEquals($was, self::rows());
        self::assertStringEqualsFile($photo->path(), 'a picture');
        preg_match('#\S+/before-restore-[\d-]+\.zip#', $said, $kept);
        Backup::verified($kept[0] ?? '');
        // The next of each has a number of its own.
        self::assertGreaterThan(
            $job->id,
            Job::query()->create([
                ...$job->fresh()?->only(['circuit_id', 'planned_by', 'kind', 'plan']) ?? [],
                'vehicle_id' => 7,
            ])->id,
        );

        config([
            'database.default' => 'sqlite',
            'database.connections.sqlite.database' => "{$this->folder}/aqbel.sqlite",
            'aqbel.photos' => "{$this->folder}/other",
        ]);
        DB::purge('sqlite');
        Restoring::from($backup->file, false);
        self::assertSame('sqlite', DB::getDriverName());
        self::assertEquals($was, self::rows());
        $state = Job::query()->with('circuit')->findOrFail($job->id)->state();
        self::assertSame('drain:left_plug', $state->stepInHand()?->id);

        // And from the file of SQLite back to where several machines reach it.
        $grown = Backup::verified(Backup::make("{$this->folder}/backups", 'grown')->file);
        config(['database.default' => 'pgsql', 'aqbel.photos' => "{$this->folder}/photos"]);
        Person::query()->where('login', 'imre')->update(['name' => 'Changed again']);
        $this->travel(1)->minutes();
        Restoring::from($grown->file, true);
        self::assertEquals($was, self::rows());
    }

    public function test_a_backup_whose_rows_are_refused_changes_nothing(): void
    {
        config([
            'database.default' => 'sqlite',
            'database.connections.sqlite.database' => "{$this->folder}/aqbel.sqlite",
        ]);
        DB::purge('sqlite');
        touch("{$this->folder}/aqbel.sqlite");
        Artisan::call('migrate', ['--force' => true]);
        // SQLite does not count letters.
        DB::table('shops')->insert(['name' => str_repeat('long', 50), 'elevation_m' => 1420, 'rules' => '{}']);
        $file = Backup::make("{$this->folder}/backups")->file;
        config(['database.default' => 'pgsql']);
        $was = self::rows();
        try {
            Restoring::from($file, true);
            self::fail('restored');
        } catch (NoBackup $why) {
            self::assertStringContainsString('refused', $why->getMessage());
        }
        self::assertEquals($was, self::rows());
        self::assertDirectoryExists("{$this->folder}/photos");
    }

    /** @return array<string, list<array<string, mixed>>> all that a shop has, numbers as numbers */
    private static function rows(): array
    {
        $number = fn (mixed $value): mixed => is_bool($value)
            ? (int) $value
            : (is_numeric($value)
                ? (float) $value
                : $value);
        $rows = [];
        foreach (
            [
                'shops',
                'people',
                'circuits',
                'vehicles',
                'jobs',
                'journal_lines',
                'products',
                'containers',
                'photos',
                'audit_lines',
            ] as $table
        ) {
            $rows[$table] = DB::table($table)
                ->orderBy('id')
                ->get()
                ->map(fn (object $row) => array_map($number, (array) $row))
                ->all();
        }

        return $rows;
    }
}
