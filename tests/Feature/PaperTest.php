<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Person;
use App\Practice\Walk;

/** What leaves on paper, read back by another program. */
final class PaperTest extends ShopTestCase
{
    public function test_the_record_on_paper_says_the_numbers_of_the_page_in_their_order_on_two_sheets(): void
    {
        $job = $this->signed();
        $page = (string) $this->get("/jobs/{$job->id}/record")->assertOk()->getContent();
        $pdf = $this->get("/jobs/{$job->id}/record.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
        [$text, $info] = $this->read((string) $pdf->getContent());
        self::assertEquals(
            self::numbers(self::plain($page)),
            self::numbers((string) preg_replace('/^Record J.*$/m', '', $text)),
        );
        self::assertStringContainsString("Cooling circuit record {$job->number()}", $info);
        self::assertMatchesRegularExpression('/Pages:\s+[12]\n/', $info);
    }

    public function test_a_reader_is_told_language_and_title_of_a_paper_and_finds_it_whole(): void
    {
        $job = $this->signed();
        foreach (['record', 'hand-over', 'label'] as $paper) {
            $pdf = (string) $this->get("/jobs/{$job->id}/{$paper}.pdf")
                ->assertOk()
                ->getContent();
            self::assertMatchesRegularExpression(
                '/\/Lang \(en\)/',
                substr($pdf, (int) strrpos($pdf, '/Catalog')),
                $paper,
            );
            self::assertStringContainsString('/DisplayDocTitle true', $pdf, $paper);
            [, $info, $complaints] = $this->read($pdf);
            self::assertSame('', $complaints, $paper);
            self::assertMatchesRegularExpression('/Title:\s+\S/', $info, $paper);
        }
    }

    public function test_the_driver_is_told_the_frost_that_was_read(): void
    {
        $job = $this->plan('SKP 660');
        (new Walk($job, Person::query()->where('login', 'sunniva')->firstOrFail()))
            ->until('refractometer')
            ->enter('freeze', ['freeze' => '-20 °C'])
            ->finish('The customer cannot wait')
            ->until('sign_off')
            ->finish('It goes to a warm garage, and is filled anew on Friday');
        $state = $job->refresh()->state();
        self::assertGreaterThan(0.4, $state->ledger()->fraction());
        [$text] = $this->read((string) $this->actingAs($this->imre)->get("/jobs/{$job->id}/hand-over.pdf")->assertOk()->getContent());
        self::assertMatchesRegularExpression('/frost down to\s+−20 °C/u', $text);
        [$label] = $this->read((string) $this->get("/jobs/{$job->id}/label.pdf")->assertOk()->getContent());
        self::assertStringContainsString('−20 °C', $label);
    }

    public function test_no_run_and_no_air_let_out_is_told_of_where_none_was_run(): void
    {
        $job = $this->plan('SKP 660');
        $walk = (new Walk($job, Person::query()->where('login', 'sunniva')->firstOrFail()))->until('heat_cycle:1');
        $walk->finish('Towed to the depot, run there')->until('drive')->finish('Driven there')->until('sign_off');
        $walk->finish('Signed as it stands');
        [$text] = $this->read((string) $this->actingAs($this->imre)->get("/jobs/{$job->id}/hand-over.pdf")->assertOk()->getContent());
        self::assertStringContainsString('5.90 L of coolant came out', $text);
        self::assertStringNotContainsString('run warm', $text);
        self::assertStringNotContainsString('air was let out', $text);
    }

    public function test_the_driver_takes_along_what_was_done_what_is_in_it_and_when_to_come_in_either_units(): void
    {
        $job = $this->signed();
        [$text] = $this->read(
            (string) $this->get("/jobs/{$job->id}/hand-over.pdf")
                ->assertOk()
                ->getContent(),
        );
        foreach (
            [
                'Never open the cap of a warm engine',
                'What was done',
                '5.90 L of coolant came out',
                'Safe from frost down to',
                'More than',
                'On '.now()->addDays(3)->format('Y-m-d'),
            ] as $said
        ) {
            self::assertStringContainsString($said, $text);
        }
        [$us] = $this->read((string) $this->get("/jobs/{$job->id}/hand-over.pdf?units=us")->assertOk()->getContent());
        self::assertStringContainsString('6.23 qt of coolant came out', $us);
        self::assertMatchesRegularExpression('/down to\s+−\d+ °F/u', $us);
        self::assertStringNotContainsString(' L ', $us);
        [$label, $info] = $this->read((string) $this->get("/jobs/{$job->id}/label.pdf")->assertOk()->getContent());
        foreach ([$job->number(), $job->signed_at?->format('Y-m-d') ?? '', 'SKP 660', '%', '°C'] as $said) {
            self::assertStringContainsString($said, $label);
        }
        self::assertMatchesRegularExpression('/Pages:\s+1\n/', $info);
    }

    /**
     * @return array{string, string, string} its text, what it says
     * of itself, and what an independent reader complains of
     */
    private function read(string $pdf): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'aqbel');
        file_put_contents($file, $pdf);
        $read = [
            (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -'),
            (string) shell_exec('pdfinfo '.escapeshellarg($file).' 2>/dev/null'),
            (string) shell_exec('pdfinfo '.escapeshellarg($file).' 2>&1 >/dev/null'),
        ];
        unlink($file);

        return $read;
    }

    private static function plain(string $html): string
    {
        $main = (string) preg_replace('#.*<article[^>]*>|</article>.*#s', '', $html);

        return html_entity_decode(
            (string) preg_replace(
                [
                    '#<(script|style)\b.*?</\1>#s',
                    '#<(\w+)[^>]*no-print[^>]*>.*?</\1>#s',
                    '#<footer.*?data-seal>#s',
                    '#<[^>]+>#s',
                ],
                ' ',
                $main,
            ),
        );
    }

    /** @return array<string, int> how often each number stands there */
    private static function numbers(string $text): array
    {
        preg_match_all('/\d+(?:[.,]\d+)?/', $text, $found);
        $counted = array_count_values($found[0]);
        ksort($counted);

        return $counted;
    }

    private function signed(): Job
    {
        $job = $this->plan('SKP 660');
        $this->walk($job)->until(null);

        return $job->refresh();
    }
}
