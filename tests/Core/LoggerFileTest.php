<?php

declare(strict_types=1);

namespace Tests\Core;

use Aqbel\Core\Instruments\LoggerFile;
use Aqbel\Core\InvalidField;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Tables as loggers write them. */
final class LoggerFileTest extends TestCase
{
    public function testACommaTableInSecondsAndFahrenheit(): void
    {
        $file = LoggerFile::read("Elapsed,ECT (°F),Radiator hose,RPM\n0,68,20,810\n0.5,69.8,,812\n");
        self::assertSame(['time', 'coolant_c', 'far_side_c', 'rpm'], $file->channels);
        self::assertTrue($file->isFahrenheit());
        $points = $file->points();
        self::assertEqualsWithDelta([[0.0, 20.0], [0.5, 21.0]], $points['coolant_c'], 1.0e-3);
        self::assertSame([[0.0, 20.0]], $points['far_side_c']);
        self::assertSame([[0.0, 810.0], [0.5, 812.0]], $points['rpm']);
    }

    public function testASemicolonTableWithDecimalCommaAndATimeOfDayOverMidnight(): void
    {
        $file = LoggerFile::read(
            "\xEF\xBB\xBFUhrzeit time;Coolant [C];Something else\r\n23:59:58;80,5;x\r\n00:00:01;81;y\r\n",
        );
        self::assertTrue($file->decimalComma);
        self::assertSame(['time', 'coolant_c', null], $file->channels);
        self::assertSame([[0.0, 80.5], [3.0, 81.0]], $file->points()['coolant_c']);
    }

    public function testColumnsAreTakenForWhatSomebodySays(): void
    {
        $file = LoggerFile::read("a\tb\tc\n1\t2\t3\n");
        self::assertSame([null, null, null], $file->channels);
        self::assertSame(
            ['outlet_c.rear' => [[0.0, 3.0]]],
            $file->taken([0 => 'time', 2 => 'outlet_c.rear'])->points(),
        );
        $this->expectException(InvalidField::class);
        $file->taken([0 => 'time', 1 => 'rpm', 2 => 'rpm']);
    }

    #[DataProvider('broken')]
    public function testWhatIsBrokenIsSaidWithLineAndColumn(string $text, string $says): void
    {
        try {
            LoggerFile::read($text)->points();
            self::fail('it was taken');
        } catch (InvalidField $wrong) {
            self::assertStringContainsString($says, $wrong->getMessage());
        }
    }

    /** @return array<string, array{string, string}> */
    public static function broken(): array
    {
        return [
            'nothing' => ['', 'no table'],
            'no columns' => ["hello\nworld", 'Line 1'],
            'names alone' => ["time,ect\n", 'nothing below'],
            'a short line' => ["time,ect\n1,80\n2\n", 'Line 3: 1 columns'],
            'no number' => ["time,ect\n1,80\n2,hot\n", 'Line 3, column 2'],
            'no time' => ["time,ect\nnoon,80\n", 'Line 2, column 1'],
            'time goes back' => ["time,ect\n5,80\n3,81\n", 'Line 3, column 1'],
            'bytes' => ["\0\1,2\n", 'no table'],
        ];
    }
}
