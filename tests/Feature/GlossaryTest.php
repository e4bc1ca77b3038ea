<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Words\Glossary;
use PHPUnit\Framework\Attributes\Group;

/** One glossary: the words a page explains are those of the documentation. */
#[Group('one-database')]
final class GlossaryTest extends ShopTestCase
{
    public function test_the_first_of_each_word_says_what_it_means_and_the_rest_is_text(): void
    {
        $html = (string) app(Glossary::class)->marked('Settled: <b>settled</b> within its reading error.');
        self::assertSame(2, substr_count($html, 'data-word='));
        self::assertStringContainsString('>Settled</button>: &lt;b&gt;settled&lt;/b&gt; within its <button', $html);
        self::assertSame('A watchman is none.', (string) app(Glossary::class)->marked('A watchman is none.'));
        foreach (app(Glossary::class)->meanings() as $word => $meaning) {
            self::assertGreaterThan(20, mb_strlen($meaning), $word);
        }
    }

    public function test_a_verdict_explains_its_words(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('look');
        $page = (string) $this->actingAs($this->imre)
            ->get("/jobs/{$job->id}?step=".$job->state()->stepsOf('reconcile')[0]->id)
            ->assertOk()
            ->getContent();
        self::assertMatchesRegularExpression(
            '#<h2[^>]*><button type="button" class="word" data-word="[^"]{20,}">As predicted</button></h2>#',
            $page,
        );
    }
}
