<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backups\Backup;
use App\Backups\NoBackup;
use App\Backups\Restoring;
use App\Models\Job;
use App\Models\Photo;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use PDO;
use Tests\TestCase;
use ZipArchive;

/** A shop in a file of SQLite, in one file and back; torn, foreign, later and older files. */
final class BackupTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/aqbel-backup-'.bin2hex(random_bytes(6));
        mkdir("{$this->folder}/here", recursive: true);
        $this->at('here');
        Artisan::call('migrate', ['--force' => true]);
        DB::table('shops')->insert(['name' => 'Skarnmoor Pass Depot', 'elevation_m' => 1420, 'rules' => '{}']);
    }

    protected function tearDown(): void
    {
        DB::purge('sqlite');
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_what_is_restored_elsewhere_is_what_was_there(): void
    {
        $photo = $this->photograph();
        $backup = Backup::make("{$this->folder}/backups");
        DB::table('shops')->update(['name' => 'Written after the backup']);

        $this->at('there');
        self::assertStringContainsString('Skarnmoor Pass Depot', Restoring::from($backup->file, false));
        self::assertSame('Skarnmoor Pass Depot', DB::table('shops')->value('name'));
        self::assertSame('a picture', file_get_contents($photo->path()));
        self::assertSame([], glob("{$this->folder}/there/*.part"));
    }

    public function test_nothing_is_restored_over_a_shop_unless_it_is_kept_aside(): void
    {
        $backup = Backup::make("{$this->folder}/backups");
        DB::table('shops')->update(['name' => 'The one that is here']);
        try {
            Restoring::from($backup->file, false);
            self::fail('restored over a shop');
        } catch (NoBackup $why) {
            self::assertStringContainsString('--replace', $why->getMessage());
        }
        self::assertSame('The one that is here', DB::table('shops')->value('name'));

        self::assertStringContainsString('is kept', Restoring::from($backup->file, true));
        self::assertSame('Skarnmoor Pass Depot', DB::table('shops')->value('name'));
        $kept = glob("{$this->folder}/here/aqbel.sqlite.before-*") ?: [];
        self::assertNotSame([], $kept);
    }

    public function test_a_copy_torn_or_changed_anywhere_is_refused_in_words(): void
    {
        $this->photograph();
        $file = Backup::make("{$this->folder}/backups")->file;
        Backup::verified($file);
        $whole = (string) file_get_contents($file);
        mt_srand(7);
        $length = strlen($whole);
        foreach (
            [0, 1, 30, $length - 1, $length - 22, ...array_map(fn () => mt_rand(1, $length - 1), range(1, 40))] as $bytes
        ) {
            $this->assertRefused(substr($whole, 0, $bytes), "torn after {$bytes} bytes");
        }
        // What the archive says of a file, at the file and in its list (APPNOTE.TXT 4.3: CRC-32 at byte 14 and at 16).
        foreach (["PK\x03\x04" => 14, "PK\x01\x02" => 16] as $header => $offset) {
            $turned = $whole;
            $at = $offset + (int) strpos($whole, $header);
            $turned[$at] = chr(ord($turned[$at]) ^ 0x41);
            $this->assertRefused($turned, "checksum at byte {$at}");
        }
        // A byte may be turned where the format itself keeps nothing of ours
        // (times, padding); then all that is ours is whole.
        $ours = fn (string $zip): array => self::contents($zip);
        foreach (array_map(fn () => mt_rand(0, $length - 1), range(1, 60)) as $at) {
            $turned = $whole;
            $turned[$at] = chr(ord($turned[$at]) ^ 0x41);
            file_put_contents("{$this->folder}/turned.zip", $turned);
            try {
                Backup::verified("{$this->folder}/turned.zip");
                self::assertSame($ours($file), $ours("{$this->folder}/turned.zip"), "byte {$at}");
            } catch (NoBackup $why) {
                self::assertMatchesRegularExpression('/\.$/', $why->getMessage());
            }
        }
    }

    public function test_foreign_and_later_files_are_refused_and_leave_nothing(): void
    {
        $this->assertRefused('not a zip at all', 'foreign');
        $zip = new ZipArchive;
        $zip->open("{$this->folder}/other.zip", ZipArchive::CREATE);
        $zip->addFromString('something.txt', 'else');
        $zip->close();
        $this->assertRefused((string) file_get_contents("{$this->folder}/other.zip"), 'another zip');

        DB::table('migrations')->insert(['migration' => '2099_01_01_000000_of_a_later_version', 'batch' => 9]);
        $later = Backup::make("{$this->folder}/backups");
        $this->at('there');
        try {
            Restoring::from($later->file, false);
            self::fail('restored a later version');
        } catch (NoBackup $why) {
            self::assertStringContainsString('later version', $why->getMessage());
        }
        self::assertFileDoesNotExist("{$this->folder}/there/aqbel.sqlite");
    }

    public function test_the_shop_of_an_earlier_version_is_upgraded_with_a_backup_before(): void
    {
        $this->at('earlier');
        $pdo = new PDO("sqlite:{$this->folder}/earlier/aqbel.sqlite");
        $pdo->exec(
            (string) gzdecode((string) file_get_contents(base_path('tests/fixtures/shop-of-2026-11-24.sql.gz'))),
        );
        unset($pdo);
        $backup = Backup::make("{$this->folder}/backups");
        $jobs = Job::query()->count();
        self::assertGreaterThan(0, $jobs);

        $this->at('there');
        Restoring::from($backup->file, false);
        self::assertSame($jobs, Job::query()->count());
        self::assertSame(
            [],
            array_diff(self::migrations(), DB::table('migrations')->pluck('migration')->all()),
            'brought up to date',
        );

        $this->at('earlier');
        Artisan::call('aqbel:before-upgrade', ['folder' => "{$this->folder}/before", 'from' => '0.5.0']);
        self::assertStringContainsString(
            'From 0.5.0 to '.config('aqbel.version').'. A backup is kept, then the database changes: ',
            Artisan::output(),
        );
        self::assertSame(
            config('aqbel.version'),
            Backup::verified((glob("{$this->folder}/before/before-upgrade-*.zip") ?: [''])[0])->manifest->version,
        );
        self::assertCount(1, glob("{$this->folder}/before/before-upgrade-*.zip") ?: []);
        Artisan::call('migrate', ['--force' => true]);
        Artisan::call('aqbel:before-upgrade', ['folder' => "{$this->folder}/before"]);
        self::assertCount(
            1,
            glob("{$this->folder}/before/before-upgrade-*.zip") ?: [],
            'nothing to upgrade, nothing copied',
        );
    }

    public function test_commands_say_in_one_line_what_went_wrong_and_old_backups_go(): void
    {
        self::assertSame(1, Artisan::call('aqbel:verify', ['file' => '/nowhere.zip']));
        self::assertStringContainsString('There is no file', Artisan::output());
        self::assertSame(1, Artisan::call('aqbel:backup', ['folder' => '/proc/nowhere']));
        foreach (['20260101-000000', '20260102-000000', '20260103-000000'] as $old) {
            @mkdir("{$this->folder}/nightly");
            touch("{$this->folder}/nightly/aqbel-{$old}.zip");
        }
        self::assertSame(0, Artisan::call('aqbel:backup', ['folder' => "{$this->folder}/nightly", '--keep' => 2]));
        self::assertStringContainsString('whole', Artisan::output());
        self::assertCount(2, glob("{$this->folder}/nightly/*.zip") ?: []);
        self::assertFileExists("{$this->folder}/nightly/aqbel-20260103-000000.zip");
    }

    /** @return list<string> */
    private static function migrations(): array
    {
        return array_map(fn (string $path) => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);
    }

    private function at(string $place): void
    {
        @mkdir("{$this->folder}/{$place}");
        config([
            'database.default' => 'sqlite',
            'database.connections.sqlite.database' => "{$this->folder}/{$place}/aqbel.sqlite",
            'aqbel.photos' => "{$this->folder}/{$place}/photos",
            'aqbel.folder' => "{$this->folder}/{$place}",
        ]);
        if ($place !== 'there') {
            touch("{$this->folder}/{$place}/aqbel.sqlite");
        }
        DB::purge('sqlite');
    }

    private function photograph(): Photo
    {
        DB::statement('pragma foreign_keys = off');
        $photo = new Photo(['job_id' => 1, 'width' => 1, 'height' => 1, 'bytes' => 9]);
        $photo->save();
        @mkdir(dirname($photo->path()), recursive: true);
        file_put_contents($photo->path(), 'a picture');
        file_put_contents($photo->path(small: true), 'a small one');

        return $photo;
    }

    private function assertRefused(string $bytes, string $why): void
    {
        file_put_contents("{$this->folder}/bad.zip", $bytes);
        try {
            Backup::verified("{$this->folder}/bad.zip");
            self::fail("taken: {$why}");
        } catch (NoBackup $refused) {
            self::assertMatchesRegularExpression('/\.$/', $refused->getMessage(), $why);
        }
    }

    /** @return array<string, string> */
    private static function contents(string $file): array
    {
        $zip = new ZipArchive;
        $zip->open($file);
        $contents = [];
        foreach (array_keys(Backup::verified($file)->manifest->files) as $place) {
            $contents[$place] = sha1(
                (string) @stream_get_contents($zip->getStream($place) ?: throw new \LogicException($place)),
            );
        }

        return $contents;
    }
}
