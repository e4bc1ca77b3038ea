import { offerCables } from './cable.js';
import { startCalculators } from './calculators.js';
import { startClocks } from './clocks.js';
import { all, one } from './dom.js';
import { startEditor } from './editor.js';
import { lightWhatIsAsked } from './maker.js';
import { watchForms } from './forms.js';
import { followInstruments } from './instruments.js';
import { stayLive } from './live.js';
import { lockWhenIdle } from './lock.js';
import { followOrder } from './order.js';
import { followPlan } from './plan.js';
import { writeRoutine } from './routine.js';
import { followScale } from './scale.js';
import { startSending } from './send.js';
import { followSheet } from './sheet.js';
import { listenForShortcuts } from './shortcuts.js';
import { explainWords } from './words.js';

startCalculators();
startClocks();
watchForms();
followOrder();
writeRoutine();
followPlan();
startEditor();
lightWhatIsAsked();
startSending();
followSheet();
stayLive();
followInstruments();
offerCables();
followScale();
listenForShortcuts();
explainWords();
lockWhenIdle(Number(document.body.dataset.locksAfter));

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
    const dark = root.dataset.theme ? root.dataset.theme === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
    root.dataset.theme = dark ? 'light' : 'dark';
    document.cookie = `theme=${root.dataset.theme}; path=/; max-age=31536000; samesite=lax`;
});
