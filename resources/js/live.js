// What others write stands here within two seconds. A page asks one small question again and again, and fetches itself anew only
// when the answer has changed; what somebody is typing in stays as it is.

import { setServerTime } from './clocks.js';
import { all, one } from './dom.js';
import { isTyping } from './typing.js';

const TICK_MS = 1500;
/** So many questions without an answer, and it is said. */
const CUT_AFTER = 2;

/** What differs on every page although nothing changed. */
const PASSING = 'input[name=key], input[name=_token]';

/** The regions that no other one is around. */
const outermost = (root) => all('[data-live]', HTMLElement, root).filter((region) => {
    const outer = region.parentElement?.closest('[data-live]') ?? null;
    return outer === null || outer === root;
});

/** Whether two regions show the same. */
export function sameAs(here, there) {
    const plain = (region) => {
        const copy = /** @type {HTMLElement} */ (region.cloneNode(true));
        copy.querySelectorAll(PASSING).forEach((field) => field.remove());
        copy.querySelectorAll('details[open]').forEach((fold) => fold.removeAttribute('open'));
        copy.querySelectorAll('[data-clock] .clock-time').forEach((time) => time.replaceChildren());
        copy.querySelectorAll('[data-keep]').forEach((kept) => kept.replaceChildren());
        copy.querySelectorAll('[data-touched]').forEach((form) => form.removeAttribute('data-touched'));
        return copy.innerHTML.replace(/\s+/g, ' ');
    };
    return plain(here) === plain(there);
}

/** Whether somebody is in the middle of something there. */
function isBusy(region) {
    const at = document.activeElement;
    return (
        isTyping(region) ||
        region.querySelector('[aria-invalid="true"], .sheet-stops') !== null ||
        (at instanceof HTMLElement && region.contains(at) && at.matches('input:not([type=hidden]), textarea, select'))
    );
}

/** What draws itself stays as it is where the new page has the same. */
function keep(here, there) {
    for (const kept of all('[data-keep]', HTMLElement, here)) {
        const place = there.querySelector(`#${kept.id}`);
        if (place instanceof HTMLElement && place.dataset.keep === kept.dataset.keep) {
            place.replaceWith(kept);
        }
    }
}

function replace(here, there) {
    const open = all('details[open] > summary', HTMLElement, here).map((summary) => summary.textContent.trim());
    for (const summary of all('details > summary', HTMLElement, there)) {
        if (open.includes(summary.textContent.trim())) {
            summary.parentElement?.setAttribute('open', '');
        }
    }
    keep(here, there);
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
    for (const here of outermost(root)) {
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

/** Counts what was put in place, so that an answer asked for earlier does not bring the past back. */
let turn = 0;

/** By which a form is the same one on the page as it is now: where it goes, what it says, at which step. */
const nameOf = (form) =>
    [
        form.getAttribute('action'),
        ...['step', 'form', 'seq'].map((part) => form.querySelector(`input[name="${part}"]`)?.value ?? ''),
    ].join(' ');

/**
 * What was typed into forms and not sent yet, by form and field.
 *
 * @param {ParentNode} page
 * @param {HTMLFormElement | null} sent
 */
export function halfTyped(page, sent) {
    const kept = [];
    for (const form of all('form', HTMLFormElement, page).filter((each) => each !== sent)) {
        for (const field of all(
            'input:not([type=hidden]):not([type=file]):not([type=password]), textarea',
            HTMLElement,
            form,
        )) {
            const typed = /** @type {HTMLInputElement} */ (field);
            const box = typed.type === 'checkbox' || typed.type === 'radio';
            if (
                typed.name !== '' &&
                (box ? typed.checked !== typed.defaultChecked : typed.value !== typed.defaultValue)
            ) {
                kept.push({
                    form: nameOf(form),
                    name: typed.name,
                    value: typed.value,
                    checked: box ? typed.checked : null,
                });
            }
        }
    }
    return kept;
}

/** Puts it back where the same form stands again. */
export function typeAgain(page, kept) {
    for (const { form, name, value, checked } of kept) {
        const same = all('form', HTMLFormElement, page).find((each) => nameOf(each) === form);
        const fields = same
            ? all('input, textarea', HTMLElement, same).map((field) => /** @type {HTMLInputElement} */ (field))
            : [];
        const field = fields.find((each) => each.name === name && (checked === null || each.value === value));
        if (field) {
            checked === null ? (field.value = value) : (field.checked = checked);
            field.closest('details')?.setAttribute('open', '');
            same?.setAttribute('data-touched', '');
        }
    }
}

/**
 * Puts a page in place that came with an answer, as going to it would: nothing is loaded, and nothing flickers.
 *
 * @param {string} html
 * @param {string} address
 * @param {HTMLFormElement | null} sent  the form whose answer it is: what was typed into the others stays
 * @returns {boolean} false where it has to be gone to
 */
export function show(html, address, sent = null) {
    const fresh = new DOMParser().parseFromString(html, 'text/html');
    const step = (page) => one('#step-title', HTMLElement, page)?.textContent;
    const stayed = step(fresh) === step(document);
    const pairs = outermost(document).map((here) => [here, fresh.getElementById(here.id)]);
    if (fresh.body.dataset.person !== document.body.dataset.person || pairs.some(([, there]) => !there)) {
        return false;
    }
    turn++;
    const kept = stayed ? halfTyped(document, sent) : [];
    for (const [here, there] of pairs) {
        const put = /** @type {HTMLElement} */ (document.importNode(there, true));
        keep(here, put);
        here.replaceWith(put);
    }
    typeAgain(document, kept);
    const told = one('#told', HTMLElement, fresh);
    one('#told', HTMLElement)?.replaceChildren(...(told?.cloneNode(true).childNodes ?? []));
    document.title = fresh.title;
    document.body.dataset.tick = fresh.body.dataset.tick;
    setServerTime(fresh.body.dataset.now);
    document.querySelectorAll('[data-cut], [data-stale]').forEach((notice) => notice.setAttribute('hidden', ''));
    if (address !== location.href) {
        history.pushState({ shown: true }, '', address);
    }
    navigator.serviceWorker?.controller?.postMessage({
        address: location.href,
        html,
        person: document.body.dataset.person,
    });
    // As after a load: from its title on, and from the top where it is another step or something is told there.
    one('#step-title', HTMLElement)?.focus({ preventScroll: true });
    if (!stayed || told?.hasChildNodes()) {
        scrollTo({ top: 0, behavior: 'instant' });
    }
    document.dispatchEvent(new Event('shown'));
    return true;
}

export function stayLive() {
    const about = document.body.dataset.about;
    if (about === undefined) {
        return;
    }
    let [busy, failed] = [false, 0];
    const cut = one('[data-cut]', HTMLElement);
    const stale = one('[data-stale]', HTMLElement);

    const refresh = async () => {
        const asked = turn;
        const response = await fetch(location.href, {
            headers: { 'X-Live': '1', 'X-Requested-With': 'XMLHttpRequest', Accept: 'text/html' },
            redirect: 'manual',
        });
        if (!response.ok) {
            // It leads elsewhere now: signed, locked, or ended.
            return response.type === 'opaqueredirect' && !isTyping(document) ? location.reload() : undefined;
        }
        const fresh = new DOMParser().parseFromString(await response.text(), 'text/html');
        if (asked !== turn || fresh.body.dataset.person !== document.body.dataset.person) {
            return;
        }
        setServerTime(fresh.body.dataset.now);
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
        const seen = document.body.dataset.tick ?? '';
        try {
            const answer = await fetch(`/tick.php?about=${encodeURIComponent(about)}`, {
                headers: { 'If-None-Match': `"${seen}"` },
                cache: 'no-store',
            });
            const tag = (answer.headers.get('ETag') ?? '').replace(/^W\/|"/g, '');
            failed = answer.status < 400 ? 0 : failed + 1;
            if (answer.status === 204 && tag !== '' && tag !== seen && seen === document.body.dataset.tick) {
                const asked = turn;
                await refresh();
                document.body.dataset.tick = asked === turn ? tag : document.body.dataset.tick;
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
    addEventListener('popstate', () => location.reload());
}
