<?php

declare(strict_types=1);

namespace Tests\Core\Job;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Journal;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** When lines were entered, when they arrived, and in which order they stand. */
final class EdgesTest extends TestCase
{
    private static function line(int $seq, int $at, ?int $arrived = null): Entry
    {
        return new Entry($seq, $at, 'Imre', 'found', 'found', arrived: $arrived);
    }

    public function test_a_minute_on_the_way_is_no_waiting(): void
    {
        self::assertSame(0, self::line(1, 1_000, 1_059)->waitedS());
        self::assertSame(60, self::line(1, 1_000, 1_060)->waitedS());
        self::assertSame(0, self::line(1, 1_000)->waitedS(), 'of those from before nobody knows');
    }

    public function test_two_tablets_differ_by_a_minute_and_no_more(): void
    {
        $back = fn (int $second): array => array_column(
            (new Journal([self::line(1, 1_000), self::line(2, $second), self::line(3, 2_000)]))->backwards(),
            'seq',
        );
        self::assertSame([], $back(941));
        self::assertSame([2], $back(939));
        self::assertSame([], $back(1_500));
    }

    public function test_lines_stand_by_their_time_then_as_they_were_written(): void
    {
        $order = fn (Entry ...$lines): array => array_column(Entry::inOrder($lines), 'seq');
        self::assertSame([1, 2, 3], $order(self::line(1, 10), self::line(2, 20), self::line(3, 30)));
        self::assertSame([2, 1, 3], $order(self::line(1, 20), self::line(2, 10), self::line(3, 30)));
        self::assertSame([1, 2], $order(self::line(2, 10), self::line(1, 10)));
        self::assertSame([2, 1], $order(self::line(2, 10), self::line(1, 11)));
    }

    public function test_who_wrote_it_is_told_by_number_where_there_is_one(): void
    {
        self::assertSame('Imre', self::line(1, 10)->by);
        self::assertSame('7', (new Entry(1, 10, 'Imre', 'found', 'found', by: '7'))->by);
    }

    public function test_below_a_litre_an_amount_is_said_to_the_millilitre(): void
    {
        $at = JobOnPaper::on('rescue-ambulance')->at('found');
        self::assertSame('950 mL', $at->amount(950.0));
        self::assertSame('−950 mL', $at->amount(-950.0));
        self::assertSame('1.00 L', $at->amount(1000.0));
        self::assertSame('1.05 L', $at->amount(1050.0));
    }
}
