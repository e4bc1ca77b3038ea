// Entries are sent by the page itself: without a connection they stay on this tablet, in order, and go out when it is back.
// Every entry carries a key, so that one sent twice counts once, and its age, so that a late one keeps its time.

import { all, around, one } from './dom.js';
import { counted, dealtWith, drop, keep, pageOf, refuse, refused, takeOver, typedIn, waiting } from './outbox.js';
import { show as showPage } from './live.js';
import { prepare } from './photo.js';
import { isTyping } from './typing.js';

const AGAIN_MS = 4000;
const OFFLINE = 'offline';
const UNKNOWN = 'unknown';

/** Under which the time of the last entry of this tablet is kept. */
const LAST = 'aqbel.last';

const TOO_LARGE = 'It is too large for the way to the shop.';

const freshKey = () =>
    [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/**
 * What an answer means for an entry: sent, to be sent again later, to be sent after signing in, or refused for good. Only what
 * comes back with the entry's own key was said by the shop; anything else, a page, a redirect, nothing at all, was said by
 * somebody on the way, and the entry is kept.
 *
 * @param {number} status  0 for a redirect, or none
 * @param {{ stored?: boolean, key?: string, person?: string } | null} answer  null where it was no JSON
 * @param {string} key
 * @param {string} person
 */
export function outcome(status, answer, key, person) {
    const ours = answer?.key === key;
    if (status === 401 || status === 419 || (status === 409 && ours)) {
        return 'sign-in';
    }
    if (status >= 200 && status < 300) {
        return ours && answer.stored === true && answer.person === person ? 'sent' : 'later';
    }
    // Too large for somebody on the way: waiting does not make it smaller.
    return status === 413 || (ours && status >= 400 && status < 500 && status !== 429) ? 'refused' : 'later';
}

/** A page that stood open for long has a stale token: the same page has a fresh one, as long as the same person is signed in. */
async function freshToken(person) {
    const page = new DOMParser().parseFromString(
        await (await fetch(location.href, { headers: { 'X-Live': '1', 'X-Requested-With': 'XMLHttpRequest' } })).text(),
        'text/html',
    );
    const token =
        page.body.dataset.person === person ? page.querySelector('input[name=_token]')?.getAttribute('value') : null;
    document.querySelectorAll('input[name=_token]').forEach((input) => token && input.setAttribute('value', token));
    return token;
}

/**
 * Sends one request; says what became of it, why, and where to go on.
 *
 * @param {string} action
 * @param {FormData} body
 * @param {string} person  who typed it
 */
async function post(action, body, person, again = true) {
    try {
        const response = await fetch(action, {
            method: 'POST',
            body,
            headers: { Accept: 'application/json', ...(document.getElementById('run') ? { 'X-Run': '1' } : {}) },
            redirect: 'manual',
        });
        const answer = await response.json().catch(() => null);
        const became = outcome(response.status, answer, String(body.get('key')), person);
        const token = response.status === 419 && again ? await freshToken(person) : null;
        if (token) {
            body.set('_token', token);
            return post(action, body, person, false);
        }
        const odd = became === 'later' && response.status < 429 ? UNKNOWN : '';
        return {
            became,
            to: answer?.to ?? location.href,
            page: answer?.page ?? null,
            reason: answer?.message ?? (response.status === 413 ? TOO_LARGE : odd),
        };
    } catch {
        return { became: 'later', to: null, page: null, reason: OFFLINE };
    }
}

/** What each field of a form is called on the page, by its name. */
function labelsOf(form) {
    const named = all('input[name], select[name]', HTMLInputElement, form).filter(
        (input) => input.type !== 'hidden' && input.type !== 'radio',
    );
    return Object.fromEntries(named.map((input) => [input.name, input.labels?.[0]?.textContent.trim() ?? input.name]));
}

/** One line of a list of entries: what was typed, where, and what is to be said of it. */
function lineOf(entry, template, said) {
    const item = /** @type {DocumentFragment} */ (template.content.cloneNode(true));
    one('[data-typed]', HTMLElement, item).textContent = typedIn(entry);
    one('[data-said]', HTMLElement, item).textContent = said;
    one('a', HTMLAnchorElement, item).href = pageOf(entry);
    return item;
}

/** The entries of this person that were refused after waiting, each until it is dealt with. */
async function showRefused(person) {
    const place = one('[data-refused]', HTMLElement);
    if (!place) {
        return;
    }
    const mine = person === '' ? [] : (await refused()).filter((entry) => entry.person === person);
    place.hidden = mine.length === 0;
    const template = one('template', HTMLTemplateElement, place);
    one('ul', HTMLUListElement, place).replaceChildren(
        ...mine.map((entry) => {
            const item = lineOf(entry, template, entry.reason);
            one('button', HTMLButtonElement, item).addEventListener('click', async () => {
                await dealtWith(entry.key);
                await showRefused(person);
            });
            return item;
        }),
    );
}

/** On the page that lists them: the entries of this person that wait. */
function showWaiting(entries) {
    const place = one('[data-outbox]', HTMLElement);
    if (!place) {
        return;
    }
    const template = one('template', HTMLTemplateElement, place);
    const made = (entry) =>
        new Date(entry.at).toLocaleString('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' });
    one('ul', HTMLUListElement, place).replaceChildren(...entries.map((entry) => lineOf(entry, template, made(entry))));
    one('[data-nothing]', HTMLElement, place).hidden = entries.length > 0;
}

/** @returns {Promise<{ became: string, to: string | null, reason: string }>} of an entry that has waited */
function postWaiting(entry) {
    const body = new FormData();
    entry.fields.forEach(([name, value]) =>
        value instanceof Blob ? body.append(name, value, 'photo.jpg') : body.append(name, value),
    );
    body.set('_token', one('input[name=_token]', HTMLInputElement)?.value ?? String(body.get('_token')));
    body.set('age', String(Math.round((Date.now() - entry.at) / 1000)));
    body.set('waited', '1');
    body.set('by', entry.person);
    return post(entry.action, body, entry.person);
}

/** When an entry was made, by this tablet's clock, and never before the one made here before it. */
function inOrder(now) {
    const at = Math.max(now, 1 + Number(localStorage.getItem(LAST) ?? 0));
    localStorage.setItem(LAST, String(at));
    return at;
}

/** What is kept stays to be seen, and is no longer being typed. */
function settle(form) {
    for (const field of all('input', HTMLInputElement, form).filter((input) => input.type !== 'file')) {
        field.defaultChecked = field.checked;
        field.defaultValue = field.value;
    }
}

/** A signature that could not be sent: nothing of it is kept. */
function notKept(notice, behind) {
    if (notice) {
        notice.hidden = false;
        one('span', HTMLElement, notice).textContent = behind
            ? 'Entries of this tablet wait and come first. Sign once they are sent.'
            : 'The record is signed at the shop, and it does not answer. Sign again once it does.';
    }
}

/** Runs alone, however many tabs of this tablet are open. */
const alone = (work) =>
    navigator.locks
        ? navigator.locks.request('aqbel.sending', { ifAvailable: true }, (lock) => lock && work())
        : work();

export async function startSending() {
    const person = document.body.dataset.person ?? '';
    const notice = one('[data-waiting]', HTMLElement);
    let cut = !navigator.onLine;
    let odd = false;
    const mine = async () => (await waiting()).filter((entry) => entry.person === person);
    const show = async (signIn = person === '') => {
        const number = (await waiting()).length;
        const own = await mine();
        if (notice) {
            notice.hidden = number === 0;
            one('span', HTMLElement, notice).textContent = signIn || own.length < number
                ? `${counted(number)} kept on this tablet. Whoever made them signs in, and they are sent.`
                : `${cut ? 'No connection' : odd ? 'Something on the way answers in the shop’s place' : 'The server is busy'}. ${counted(number)} kept on this tablet and sent as soon as it is back. Go on.`;
        }
        showWaiting(own);
    };
    let sending = false;
    const flush = async () => {
        let last = null;
        for (const entry of await mine()) {
            const { became, to, reason } = await postWaiting(entry);
            [cut, odd] = [reason === OFFLINE, reason === UNKNOWN];
            if (became === 'later' || became === 'sign-in') {
                last = became === 'sign-in' ? null : last;
                await show(became === 'sign-in');
                break;
            }
            if (became === 'refused') {
                await refuse(entry, reason);
                await showRefused(person);
                await show();
                continue;
            }
            await drop(entry.key);
            last = to;
        }
        return last;
    };
    const send = async () => {
        if (sending || person === '' || (await mine()).length === 0) {
            return;
        }
        sending = true;
        try {
            const last = await alone(flush);
            if (last && !isTyping(document)) {
                location.assign(last);
            }
            if (last && notice) {
                notice.hidden = false;
                one('span', HTMLElement, notice).textContent =
                    'What was kept is stored. The page shows it when what is being typed is sent.';
            }
        } finally {
            sending = false;
        }
    };

    document.addEventListener('submit', async (event) => {
        const form = around(event, '[data-send]', HTMLFormElement);
        if (!form || event.defaultPrevented) {
            return;
        }
        event.preventDefault();
        if (form.dataset.sent) {
            return;
        }
        form.dataset.sent = '1';
        const body = new FormData(form, event.submitter);
        const at = inOrder(Date.now());
        if (await prepare(form, body)) {
            // Behind entries that still wait: order counts.
            const behind = (await mine()).length > 0;
            const { became, to, page, reason } = behind
                ? { became: 'later', to: null, page: null, reason: cut ? OFFLINE : '' }
                : await post(form.action, body, person);
            [cut, odd] = [reason === OFFLINE, reason === UNKNOWN];
            if (became === 'sent' && page && showPage(page, to, form)) {
                return;
            }
            if (became === 'sent' || became === 'refused') {
                // Refused: the page it was typed on shows why, at the field.
                location.assign(to);
                return;
            }
            if (one('input[type=password]', HTMLInputElement, form)) {
                // A secret is kept on no tablet: a signature waits for whoever signs, not for the connection.
                delete form.dataset.sent;
                await show();
                notKept(notice, behind);
                return;
            }
            await keep({
                key: body.get('key'),
                person,
                at,
                action: form.getAttribute('action'),
                fields: [...body.entries()].filter(([, value]) => !(value instanceof File) || value.size > 0),
                labels: labelsOf(form),
            });
            settle(form);
            one('input[name=key]', HTMLInputElement, form).value = freshKey();
            if (one('input[type=file]', HTMLInputElement, form)) {
                form.reset();
            }
            if (became === 'sign-in') {
                location.reload();
                return;
            }
        }
        delete form.dataset.sent;
        await show();
    });

    if ('kept' in document.body.dataset) {
        all('input[name=key]', HTMLInputElement).forEach((input) => { input.value = freshKey(); });
    }
    await takeOver(localStorage);
    await showRefused(person);
    addEventListener('online', send);
    setInterval(send, AGAIN_MS);
    await show();
    await send();
}
