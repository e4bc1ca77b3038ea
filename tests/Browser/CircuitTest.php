<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys;

/** The comparison that follows the settings, and the editor from template to import. */
final class CircuitTest extends BrowserTestCase
{
    public function test_the_recommendation_changes_for_the_right_reason(): void
    {
        $this->signIn();
        $this->visit('/jobs/new?vehicle=1');
        $this->see('Gravity leaves', '[data-recommendation]');
        // Its heater's own point is left shut: what it would have let out stays, and a vacuum is quicker than two runs.
        $this->choose('input[value=bleed_heater]');
        $this->see('Vacuum fill is done soonest', '[data-recommendation]');
        $this->choose('input[value=vacuum_filler]');
        self::$browser->executeScript(
            'document.querySelectorAll("[data-ways] details").forEach((more) => { more.open = true })',
        );
        $this->see('Nose raised', '[data-ways]');
        self::assertStringNotContainsString('Vacuum fill is done', $this->text('[data-recommendation]'));
        $this->see('runs is done soonest', '[data-recommendation]');
        foreach (['funnel', 'ramps', 'pressure_tester'] as $tool) {
            $this->choose("input[name=\"tools[]\"][value={$tool}]");
        }
        $this->see('Gravity', '[data-recommendation]');
        self::$browser->executeScript(
            'document.querySelectorAll("[data-ways] details").forEach((more) => { more.open = true })',
        );
        $this->see('High funnel: needs a high funnel.', '[data-ways]');
        $this->choose('input[value=bleed_housing]');
        self::assertStringNotContainsString('Gravity', $this->text('[data-ways]'));
        self::assertStringNotContainsString('Thermostat housing screw', $this->text('[aria-labelledby=steps-title]'));
        $this->assertAccessible();
    }

    public function test_a_circuit_from_a_template_by_dragging_and_typing_comes_back_unchanged(): void
    {
        $this->signIn('sunniva');
        $this->visit('/circuits/1');
        $this->press('New from this layout');
        $this->seeStep('New circuit');
        $this->type('document.name', 'Test wagon');
        $before = json_decode(self::$browser->findElement(By::name('document'))->getAttribute('value'), true);
        $handle = self::$browser->findElement(By::cssSelector('[data-node=hot_rise]'));
        $fresh = $this->fresh();
        (new WebDriverActions(self::$browser))
            ->moveToElement($handle)
            ->clickAndHold()
            ->moveByOffset(0, -20)
            ->release()
            ->perform();
        $this->waitForPreview($fresh);
        $moved = json_decode(self::$browser->findElement(By::name('document'))->getAttribute('value'), true);
        self::assertGreaterThan(
            $before['nodes'][10]['z_mm'] + 20,
            $moved['nodes'][10]['z_mm'],
            'dragging up raises the node',
        );
        $fresh = $this->fresh();
        self::$browser->executeScript('document.querySelector("[data-node=hot_rise]").focus()');
        self::$browser->getKeyboard()->sendKeys(WebDriverKeys::ARROW_DOWN);
        $this->waitForPreview($fresh);
        $keyed = json_decode(self::$browser->findElement(By::name('document'))->getAttribute('value'), true);
        self::assertSame($moved['nodes'][10]['z_mm'] - 10, $keyed['nodes'][10]['z_mm']);
        // Taken out with what hangs on it, and taken back.
        $whole = self::$browser->findElement(By::name('document'))->getAttribute('value');
        self::$browser->executeScript("document.querySelector('[data-section^=Nodes]').open = true; "
            ."document.querySelector('[data-section^=Nodes] .editor-row').querySelectorAll('button')[1].click()");
        $this->see('Remove it with', '[data-section^=Nodes]');
        self::assertSame(
            $whole,
            self::$browser->findElement(By::name('document'))->getAttribute('value'),
            'asked first',
        );
        self::$browser->executeScript(
            "document.querySelector('[data-section^=Nodes] .editor-row').querySelectorAll('button')[1].click()",
        );
        $left = json_decode(self::$browser->findElement(By::name('document'))->getAttribute('value'), true);
        $gone = $before['nodes'][0]['id'];
        self::assertCount(count($before['nodes']) - 1, $left['nodes']);
        self::assertNotContains($gone, [
            ...array_column($left['passages'], 'from'),
            ...array_column($left['passages'], 'to'),
            ...array_column($left['ports'], 'node'),
        ]);
        $this->history('Undo');
        self::assertSame($whole, self::$browser->findElement(By::name('document'))->getAttribute('value'));
        $this->history('Redo');
        $this->history('Undo');
        $this->type('passages.0.volume_ml', 'plenty');
        self::$browser->wait(10, 50)
            ->until(fn () => str_contains($this->text('[data-problem]'), 'passages.0.volume_ml'));
        self::assertSame(
            'passages.0.volume_ml',
            self::$browser->executeScript('return document.querySelector("[data-rows] [aria-invalid]").dataset.path'),
        );
        $this->type('passages.0.volume_ml', '3600');
        $this->type('facts.capacity_ml', '13000');
        $this->see('Scale the volumes to the manual', '.editor-view');
        $fresh = $this->fresh();
        self::$browser->executeScript(
            '[...document.querySelectorAll("button")].find(b => b.textContent.startsWith("Scale volumes")).click()',
        );
        $this->waitForPreview($fresh);
        self::assertEqualsWithDelta(
            13000,
            (float) self::$browser->findElement(By::cssSelector('[data-capacity]'))->getAttribute('data-capacity'),
            1.0,
        );
        // In the drawing: a point on a hose, and two nodes connected; both are taken back.
        $document = fn (): array => json_decode(
            (string) self::$browser->findElement(By::name('document'))->getAttribute('value'),
            true,
        );
        $was = $document();
        $fresh = $this->fresh();
        $this->history('Put a point on a hose');
        self::$browser->executeScript(<<<'JS'
            const at = (id) => { const box = document.querySelector(`[data-node=${id}]`).getBoundingClientRect(); return [box.x + box.width / 2, box.y + box.height / 2]; };
            const doc = JSON.parse(document.querySelector('[name=document]').value);
            const hose = doc.passages.find((one) => one.from === 'hot_rise' || one.to === 'hot_rise');
            const [a, b] = [at(hose.from), at(hose.to)];
            document.querySelector('[data-preview] svg').dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, clientX: (a[0] + b[0]) / 2, clientY: (a[1] + b[1]) / 2 }));
            JS);
        $this->waitForPreview($fresh);
        self::assertCount(count($was['ports']) + 1, $document()['ports']);
        self::assertEqualsWithDelta(
            array_sum(array_column($was['passages'], 'volume_ml')),
            array_sum(array_column($document()['passages'], 'volume_ml')),
            0.2,
        );
        $this->history('Undo');
        $this->history('Connect two nodes');
        $fresh = $this->fresh();
        self::$browser->executeScript(
            "for (const id of ['hot_rise', arguments[0]]) { "
                .'document.querySelector(`[data-node=${id}]`).dispatchEvent(new '
                ."PointerEvent('pointerdown', { bubbles: true })); }",
            [$was['nodes'][0]['id']],
        );
        $this->waitForPreview($fresh);
        self::assertCount(count($was['passages']) + 1, $document()['passages']);
        $fresh = $this->fresh();
        $this->history('Undo');
        $this->waitForPreview($fresh);
        // What came with the layout is marked until somebody types it, or says that it is right.
        self::$browser->executeScript('document.querySelector("[data-looked=neck]").click()');
        $marked = json_decode((string) self::$browser->findElement(By::name('document'))->getAttribute('value'), true);
        self::assertSame(['tape', 'layout'], [$marked['passages'][0]['known_by'], $marked['passages'][1]['known_by']]);
        self::assertSame([], array_intersect(['neck', 'capacity_ml'], $marked['from_layout']));
        self::assertContains('cap_kpa', $marked['from_layout']);
        $this->assertAccessible();
        $this->press('Save');
        $this->seeStep('Test wagon');
        $this->see('nobody has looked at it for this vehicle', 'main');
        $this->assertAccessible();

        $exported = self::$browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch(location.pathname + "/export").then(r => '
                .'r.text()).then(done)',
        );
        // It comes back with another cap: which to keep is asked, and that is all that changes.
        $changed = json_decode($exported, true);
        $changed['facts']['cap_kpa'] = 123;
        $file = tempnam(sys_get_temp_dir(), 'aqbel').'.json';
        file_put_contents($file, (string) json_encode($changed, JSON_PRESERVE_ZERO_FRACTION));
        $this->visit('/circuits');
        self::$browser->findElement(By::id('file'))
            ->setFileDetector(new \Facebook\WebDriver\Remote\LocalFileDetector)
            ->sendKeys($file);
        $this->press('Import');
        $this->seeStep('Test wagon is here already');
        $this->assertAccessible();
        self::$browser->executeScript('document.querySelector("input[value=\'facts.cap_kpa\']").click()');
        $this->press('Take what is ticked, keep ours in the rest');
        $this->seeStep('Test wagon');
        $taken = json_decode(
            self::$browser->executeAsyncScript(
                'const done = arguments[arguments.length - 1]; fetch(location.pathname + "/export").then(r => '
                    .'r.text()).then(done)',
            ),
            true,
        );
        self::assertEquals([...$changed, 'history' => $taken['history']], $taken);
        unlink($file);
    }

    private function type(string $path, string $text): void
    {
        // The rows are written by the page's script.
        self::$browser->wait(10, 50)->until(
            fn (): bool => self::$browser->findElements(By::cssSelector("[data-path=\"{$path}\"]")) !== [],
        );
        $fresh = $this->fresh();
        self::$browser->executeScript(
            'const f = document.querySelector(`[data-path="${arguments[0]}"]`); f.value = arguments[1]; '
                .'f.dispatchEvent(new Event("change", { bubbles: true }))',
            [$path, $text],
        );
        if ($text !== 'plenty') {
            $this->waitForPreview($fresh);
        }
    }

    private function choose(string $selector): void
    {
        $before = (string) self::$browser->executeScript(
            'return document.getElementById("outcome").dataset.fresh ?? ""',
        );
        self::$browser->executeScript('document.querySelector(arguments[0]).click()', [$selector]);
        self::$browser->wait(40, 20)
            ->until(
                fn () => (string) self::$browser->executeScript(
                    'return document.getElementById("outcome").dataset.fresh ?? ""',
                ) !== $before,
            );
    }

    private function history(string $which): void
    {
        self::$browser->executeScript(
            "[...document.querySelectorAll('[data-rows] button')].find(button => button.textContent === "
                .'arguments[0]).click()',
            [$which],
        );
    }

    private function fresh(): string
    {
        return (string) self::$browser->executeScript(
            'return document.querySelector("[data-preview]").dataset.fresh ?? ""',
        );
    }

    private function waitForPreview(string $before): void
    {
        self::$browser->wait(40, 20)->until(fn () => $this->fresh() !== $before);
    }

    public function test_without_scripts_a_circuit_is_edited_as_its_file(): void
    {
        $this->signIn('sunniva');
        $this->devTools('Emulation.setScriptExecutionDisabled', ['value' => true]);
        try {
            $this->visit('/circuits/2/edit');
            $file = self::$browser->findElement(By::name('document'));
            self::assertTrue($file->isDisplayed());
            $document = json_decode($file->getAttribute('value'), true);
            $file->clear();
            $file->sendKeys((string) json_encode([...$document, 'name' => 'Edited by hand']));
            self::$browser->findElement(By::cssSelector('main form button'))->click();
            self::assertStringContainsString(
                'Edited by hand',
                self::$browser->findElement(By::cssSelector('main h1'))->getText(),
            );
        } finally {
            $this->devTools('Emulation.setScriptExecutionDisabled', ['value' => false]);
        }
    }

    public function test_no_two_names_or_points_of_any_picture_overlap_at_any_width(): void
    {
        $this->signIn();
        foreach ([[1280, 800], [820, 1180], [390, 844]] as [$width, $height]) {
            $this->devTools('Emulation.setDeviceMetricsOverride', [
                'width' => $width,
                'height' => $height,
                'deviceScaleFactor' => 1,
                'mobile' => false,
            ]);
            foreach (range(1, 10) as $circuit) {
                $this->visit("/circuits/{$circuit}");
                $found = self::$browser->executeScript(<<<'JS'
                    const svg = document.querySelector('.elevation svg');
                    const shown = [...svg.querySelectorAll('text:not(.el-number), .el-mark')].filter((one) => one.checkVisibility());
                    const boxes = shown.map((one) => [one.getBoundingClientRect(), one.textContent.trim() || 'a point']);
                    const frame = svg.getBoundingClientRect();
                    const clashes = boxes.filter(([box]) => box.left < frame.left - 1 || box.right > frame.right + 1).map(([, name]) => `${name}, cut off`);
                    boxes.forEach(([one, name], i) => boxes.slice(i + 1).forEach(([other, beside]) => {
                        const [wide, high] = [Math.min(one.right, other.right) - Math.max(one.left, other.left), Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top)];
                        if (wide > 2 && high > 2) {
                            clashes.push(`${name} over ${beside}`);
                        }
                    }));
                    return [shown.length, clashes];
                    JS);
                self::assertSame([], $found[1], "circuit {$circuit} at {$width}");
                self::assertGreaterThan(5, $found[0]);
            }
        }
        $this->devTools('Emulation.clearDeviceMetricsOverride', []);
    }
}
