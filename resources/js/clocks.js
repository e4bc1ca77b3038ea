// Clocks run on the server's time: the page carries the server's second, the browser only counts on from it.

import { all } from './dom.js';

const TICK_MS = 500;

/** When the page was told the server's time last; null where it was by loading. */
let readMs = null;

/** Goes by the server's time as a page that was put in place has it. */
export function setServerTime(seconds) {
    document.body.dataset.now = seconds;
    readMs = performance.timeOrigin + performance.now();
}

/** Server seconds now, whatever the tablet's own clock says. */
export function serverNow(
    atLoad = Number(document.body.dataset.now),
    loadedMs = readMs ?? performance.timeOrigin,
    nowMs = performance.timeOrigin + performance.now(),
) {
    // Where somebody practises it may run faster.
    const speed = typeof document === 'undefined' ? 1 : Number(document.body.dataset.speed ?? 1);
    return atLoad + (speed * (nowMs - loadedMs)) / 1000;
}

/** "4:05" or "1:02:03" for the seconds left; null when over. */
export function countdown(seconds) {
    const left = Math.ceil(seconds);
    if (left <= 0) {
        return null;
    }
    const parts = [Math.floor(left / 3600), Math.floor(left / 60) % 60, left % 60];
    return (parts[0] > 0 ? parts : parts.slice(1))
        .map((part, i) => (i === 0 ? String(part) : String(part).padStart(2, '0')))
        .join(':');
}

export function startClocks() {
    const running = new WeakSet();
    const tick = () => {
        // Asked anew each time: a page that stays live has other clocks than it was loaded with.
        for (const clock of all('[data-clock]', HTMLElement)) {
            const text = countdown(Number(clock.dataset.until) - serverNow());
            if (text !== null) {
                running.add(clock);
            }
            clock.querySelector('.clock-time').textContent = text ?? 'over';
            clock.classList.toggle('is-over', text === null);
            if (text === null && running.delete(clock) && !document.querySelector('[data-touched]')) {
                location.reload();
            }
        }
    };
    tick();
    setInterval(tick, TICK_MS);
}
