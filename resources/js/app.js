import { startClocks } from './clocks.js';
import { all, one } from './dom.js';
import { watchForms } from './forms.js';
import { followInstruments } from './instruments.js';
import { stayLive } from './live.js';
import { lockWhenIdle } from './lock.js';
import { writeRoutine } from './routine.js';
import { startSending } from './send.js';
import { followSheet } from './sheet.js';
import { listenForShortcuts } from './shortcuts.js';
import { explainWords } from './words.js';

startClocks();
watchForms();
writeRoutine();
startSending();
followSheet();
stayLive();
followInstruments();
listenForShortcuts();
explainWords();
lockWhenIdle(Number(document.body.dataset.locksAfter));

/** What few pages need, by what stands on those that do: fetched once that is there. */
const rarely = new Map([
    ['[data-plan]', async () => (await import('./plan.js')).followPlan()],
    ['[data-editor]', async () => (await import('./editor.js')).startEditor()],
    ['[data-maker]', async () => (await import('./maker.js')).lightWhatIsAsked()],
    ['[data-calculator]', async () => (await import('./calculators.js')).startCalculators()],
    ['[data-moves]', async () => (await import('./order.js')).followOrder()],
    ['[data-cable]', async () => (await import('./cable.js')).offerCables()],
    ['[data-weighs]', async () => (await import('./scale.js')).followScale()],
]);
function fetchWhatIsNeeded() {
    for (const [here, start] of rarely) {
        if (document.querySelector(here)) {
            rarely.delete(here);
            start();
        }
    }
}
fetchWhatIsNeeded();
document.addEventListener('shown', fetchWhatIsNeeded);

if ('serviceWorker' in navigator && document.body.dataset.person) {
    navigator.serviceWorker.register('/worker.js');
}

// On a narrow screen the stages run sideways: the one in hand is brought into view.
function showStage() {
    const stages = one('.rail-stages', HTMLElement);
    if (stages) {
        stages.scrollLeft = (one('.is-current', HTMLElement, stages)?.offsetLeft ?? 0) - stages.offsetLeft - 12;
    }
}
showStage();
document.addEventListener('shown', showStage);
for (const place of all('[data-qr]', HTMLElement)) {
    import('./qr.js').then(({ draw }) => draw(place, place.dataset.qr ?? ''));
}
document.querySelector('[data-print]')?.addEventListener('click', () => window.print());
document.querySelector('[data-theme-switch]')?.addEventListener('click', () => {
    const root = document.documentElement;
    const dark = root.dataset.theme
        ? root.dataset.theme === 'dark'
        : matchMedia('(prefers-color-scheme: dark)').matches;
    root.dataset.theme = dark ? 'light' : 'dark';
    document.cookie = `theme=${root.dataset.theme}; path=/; max-age=31536000; samesite=lax`;
});
