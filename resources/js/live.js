// What others write stands here within two seconds. A page asks one small question again and again, and fetches itself anew only
// when the answer has changed; what somebody is typing in stays as it is.

import { all, one } from './dom.js';
import { isTyping } from './send.js';

const TICK_MS = 1500;
/** So many questions without an answer, and it is said. */
const CUT_AFTER = 2;

/** What differs on every page although nothing changed. */
const PASSING = 'input[name=key], input[name=_token]';

/** Whether two regions show the same. */
export function sameAs(here, there) {
    const plain = (region) => {
        const copy = /** @type {HTMLElement} */ (region.cloneNode(true));
        copy.querySelectorAll(PASSING).forEach((field) => field.remove());
        copy.querySelectorAll('details[open]').forEach((fold) => fold.removeAttribute('open'));
        copy.querySelectorAll('[data-clock] .clock-time').forEach((time) => time.replaceChildren());
        copy.querySelectorAll('[data-touched]').forEach((form) => form.removeAttribute('data-touched'));
        return copy.innerHTML.replace(/\s+/g, ' ');
    };
    return plain(here) === plain(there);
}

/** Whether somebody is in the middle of something there. */
function isBusy(region) {
    const at = document.activeElement;
    return isTyping(region) || region.querySelector('[aria-invalid="true"], .sheet-stops') !== null
        || (at instanceof HTMLElement && region.contains(at) && at.matches('input:not([type=hidden]), textarea, select'));
}

function replace(here, there) {
    const open = all('details[open] > summary', HTMLElement, here).map((summary) => summary.textContent.trim());
    for (const summary of all('details > summary', HTMLElement, there)) {
        if (open.includes(summary.textContent.trim())) {
            summary.parentElement?.setAttribute('open', '');
        }
    }
    here.replaceWith(there);
}

/**
 * Puts what changed in place, region by region, the outermost that nobody is busy in first.
 *
 * @param {ParentNode} root
 * @param {Document} fresh
 * @returns {boolean} whether something was left as it was because somebody is busy there
 */
export function renew(root, fresh) {
    let left = false;
    const outermost = all('[data-live]', HTMLElement, root).filter((region) => {
        const around = region.parentElement?.closest('[data-live]') ?? null;
        return around === null || around === root;
    });
    for (const here of outermost) {
        const there = fresh.getElementById(here.id);
        if (!there || sameAs(here, there)) {
            continue;
        }
        if (isBusy(here)) {
            renew(here, fresh);
            left = left || !sameAs(here, there);
        } else {
            replace(here, /** @type {HTMLElement} */ (document.importNode(there, true)));
        }
    }
    return left;
}

export function stayLive() {
    const about = document.body.dataset.about;
    if (about === undefined) {
        return;
    }
    let [seen, busy, failed] = [document.body.dataset.tick ?? '', false, 0];
    const cut = one('[data-cut]', HTMLElement);
    const stale = one('[data-stale]', HTMLElement);

    const refresh = async () => {
        const response = await fetch(location.href, { headers: { 'X-Live': '1', 'X-Requested-With': 'XMLHttpRequest', Accept: 'text/html' }, redirect: 'manual' });
        if (!response.ok) {
            // It leads elsewhere now: signed, locked, or ended.
            return response.type === 'opaqueredirect' && !isTyping(document) ? location.reload() : undefined;
        }
        const fresh = new DOMParser().parseFromString(await response.text(), 'text/html');
        if (fresh.body.dataset.person !== document.body.dataset.person) {
            return;
        }
        const at = scrollY;
        const left = renew(document, fresh);
        scrollTo({ top: at, behavior: 'instant' });
        if (stale) {
            stale.hidden = !left;
        }
    };
    const ask = async () => {
        if (document.hidden || busy) {
            return;
        }
        busy = true;
        try {
            const answer = await fetch(`/tick.php?about=${encodeURIComponent(about)}`, { headers: { 'If-None-Match': `"${seen}"` }, cache: 'no-store' });
            const tag = (answer.headers.get('ETag') ?? '').replace(/^W\/|"/g, '');
            failed = answer.status < 400 ? 0 : failed + 1;
            if (answer.status === 204 && tag !== '' && tag !== seen) {
                await refresh();
                seen = tag;
            }
        } catch {
            failed++;
        } finally {
            busy = false;
        }
        if (cut) {
            cut.hidden = failed < CUT_AFTER;
        }
    };
    setInterval(ask, TICK_MS);
    document.addEventListener('visibilitychange', ask);
    addEventListener('online', ask);
}
