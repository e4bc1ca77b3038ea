<?php

declare(strict_types=1);

namespace Tests\Core\Heat;

use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Series of top-ups as near as can be to where the verdict turns. Invented. */
final class TopUpEdgesTest extends TestCase
{
    /**
     * @return array<string, array{list<float>, ?list<float>, float, float, string}> mL; hours, where they are known; ±
     * of each; what is reading error of a level; verdict
     */
    public static function series(): array
    {
        return [
            'a leak, told sooner where the hours differ' => [[100, 100, 150], [48, 60, 108], 100, 150, 'leak'],
            'no leak yet' => [[350, 150, 250], [6, 30, 78], 100, 150, 'air'],
            'two that a leak explains as well' => [[100, 150], null, 100, 150, 'too_few'],
            'two of one size' => [[100, 100], null, 100, 150, 'settled'],
            'half of what a level tells is no leak' => [[50, 100], null, 50, 150, 'settled'],
            'none to be excluded where much went in before' => [[350, 0], [24, 30], 100, 150, 'air'],
            'after an interval just long enough' => [[450, 200, 600, 0], [48, 72, 78, 84], 50, 100, 'settled'],
            'after one just too short' => [[0, 40, 250, 125], [24, 48, 72, 81], 50, 150, 'air'],
            'the first look was before the air moved' => [[100, 350, 250], null, 50, 150, 'leak'],
            'the first look was of the same size' => [[40, 150], null, 20, 150, 'settled'],
            'intervals that tell' => [[20, 150], [14, 38], 20, 150, 'too_few'],
            'intervals too much alike to tell' => [[10, 110], [15, 39], 20, 150, 'settled'],
            'what comes back is no small leak' => [[500, 0, 550], null, 50, 150, 'both'],
            'two in a row within the error' => [[550, 100, 50], [24, 48, 54], 50, 100, 'settled'],
            'what grows after it shrank has opened' => [[220, 130, 80, 300], null, 20, 40, 'both'],
            'what grows no more than it may be misread has not' => [[220, 130, 100, 125], null, 40, 80, 'air'],
            'nor the second of two' => [[100, 300], null, 20, 40, 'too_few'],
            'a leak does not stop by itself' => [[400, 395, 400, 390, 0], [24, 48, 72, 96, 120], 40, 80, 'settled'],
            'as much as a leak would bring is still one' => [[400, 395, 400, 390, 380], [24, 48, 72, 96, 120], 40, 80, 'leak'],
            'a hair below the one before' => [[10, 9.9], [0, 11.4], 10.63, 11.3, 'settled'],
            'a hair above it' => [[10, 10.05], [0, 11.4], 10.63, 11.3, 'settled'],
            'half of it, a day later' => [[300, 150], [48, 72], 50, 150, 'air'],
        ];
    }

    /**
     * @param  list<float>  $took
     * @param  ?list<float>  $hours
     */
    #[DataProvider('series')]
    public function test_it_turns_there(array $took, ?array $hours, float $within, float $settledMl, string $verdict): void
    {
        $topUps = array_map(
            fn (int $i) => new TopUp($took[$i], $within, $hours[$i] ?? null),
            array_keys($took),
        );
        self::assertSame($verdict, (new TopUps($topUps, $settledMl))->verdict->value);
    }
}
