<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\WholeFileSessions;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\File;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** A session that is being written is the one before or the one after, never half of it. */
#[Group('one-database')]
final class SessionFilesTest extends TestCase
{
    public function test_whoever_reads_while_it_is_written_reads_a_whole_one(): void
    {
        $folder = sys_get_temp_dir().'/aqbel-sessions-'.getmypid();
        File::ensureDirectoryExists($folder);
        try {
            $sessions = new WholeFileSessions(new Filesystem, $folder, 720);
            $sessions->write('one', $before = str_repeat('b', 20_000));
            $reader = fopen("{$folder}/one", 'r');
            self::assertIsResource($reader);
            self::assertSame('b', fread($reader, 1));
            $sessions->write('one', $after = str_repeat('a', 10));
            // A write in place would have emptied the file under the reader.
            self::assertSame($before, 'b'.stream_get_contents($reader));
            self::assertSame($after, $sessions->read('one'));
            self::assertSame(
                ['one'],
                array_values(array_diff(scandir($folder) ?: [], ['.', '..'])),
                'and nothing beside it',
            );
        } finally {
            File::deleteDirectory($folder);
        }
    }

    public function test_a_shop_keeps_its_sessions_so(): void
    {
        config(['session.driver' => 'whole_file', 'session.files' => sys_get_temp_dir()]);
        self::assertInstanceOf(WholeFileSessions::class, session()->driver('whole_file')->getHandler());
    }
}
