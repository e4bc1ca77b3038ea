// Entries are sent by the page itself: without a connection they stay on this tablet, in order, and go out when it is back.
// Every entry carries a key, so that one sent twice counts once, and its age, so that a late one keeps its time.

import { all, around, one } from './dom.js';
import { counted, dealtWith, drop, keep, pageOf, refuse, refused, takeOver, typedIn, waiting } from './outbox.js';
import { prepare } from './photo.js';

const AGAIN_MS = 4000;
const OFFLINE = 'offline';

const freshKey = () => [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** What an answer means for an entry: sent, to be sent again later, to be sent after signing in, or refused for good. */
export function outcome(status) {
    if (status >= 200 && status < 300) {
        return 'sent';
    }
    if (status === 401 || status === 419) {
        return 'sign-in';
    }
    return status === 0 || status === 429 || status >= 500 ? 'later' : 'refused';
}

/** A page that stood open for long has a stale token: the same page has a fresh one, as long as somebody is signed in. */
async function freshToken() {
    const page = new DOMParser().parseFromString(await (await fetch(location.href)).text(), 'text/html');
    const token = page.body.dataset.person ? page.querySelector('input[name=_token]')?.getAttribute('value') : null;
    document.querySelectorAll('input[name=_token]').forEach((input) => token && input.setAttribute('value', token));
    return token;
}

/**
 * Sends one request; says what became of it, why, and where to go on.
 *
 * @param {string} action
 * @param {FormData} body
 */
async function post(action, body, again = true) {
    try {
        const response = await fetch(action, { method: 'POST', body, headers: { Accept: 'application/json' } });
        const became = outcome(response.status);
        const token = response.status === 419 && again ? await freshToken() : null;
        if (token) {
            body.set('_token', token);
            return post(action, body, false);
        }
        const answer = became === 'sent' || became === 'refused' ? await response.json().catch(() => ({})) : {};
        return { became, to: answer.to ?? location.href, reason: answer.message ?? '' };
    } catch {
        return { became: 'later', to: null, reason: OFFLINE };
    }
}

/** What each field of a form is called on the page, by its name. */
function labelsOf(form) {
    const named = all('input[name], select[name]', HTMLInputElement, form).filter((input) => input.type !== 'hidden' && input.type !== 'radio');
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
    one('ul', HTMLUListElement, place).replaceChildren(...mine.map((entry) => {
        const item = lineOf(entry, template, entry.reason);
        one('button', HTMLButtonElement, item).addEventListener('click', async () => { await dealtWith(entry.key); await showRefused(person); });
        return item;
    }));
}

/** On the page that lists them: the entries of this person that wait. */
function showWaiting(entries) {
    const place = one('[data-outbox]', HTMLElement);
    if (!place) {
        return;
    }
    const template = one('template', HTMLTemplateElement, place);
    const made = (entry) => new Date(entry.at).toLocaleString('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' });
    one('ul', HTMLUListElement, place).replaceChildren(...entries.map((entry) => lineOf(entry, template, made(entry))));
    one('[data-nothing]', HTMLElement, place).hidden = entries.length > 0;
}

/** @returns {Promise<{ became: string, to: string | null, reason: string }>} of an entry that has waited */
function postWaiting(entry) {
    const body = new FormData();
    entry.fields.forEach(([name, value]) => value instanceof Blob ? body.append(name, value, 'photo.jpg') : body.append(name, value));
    body.set('_token', one('input[name=_token]', HTMLInputElement)?.value ?? String(body.get('_token')));
    body.set('age', String(Math.round((Date.now() - entry.at) / 1000)));
    body.set('waited', '1');
    return post(entry.action, body);
}

/** Runs alone, however many tabs of this tablet are open. */
const alone = (work) => navigator.locks ? navigator.locks.request('aqbel.sending', { ifAvailable: true }, (lock) => lock && work()) : work();

export async function startSending() {
    const person = document.body.dataset.person ?? '';
    const notice = one('[data-waiting]', HTMLElement);
    let cut = !navigator.onLine;
    const mine = async () => (await waiting()).filter((entry) => entry.person === person);
    const show = async (signIn = person === '') => {
        const number = (await waiting()).length;
        const own = await mine();
        if (notice) {
            notice.hidden = number === 0;
            one('span', HTMLElement, notice).textContent = signIn || own.length < number
                ? `${counted(number)} kept on this tablet. Whoever made them signs in, and they are sent.`
                : `${cut ? 'No connection' : 'The server is busy'}. ${counted(number)} kept on this tablet and sent as soon as it is back. Go on.`;
        }
        showWaiting(own);
    };
    let sending = false;
    const flush = async () => {
        let last = null;
        for (const entry of await mine()) {
            const { became, to, reason } = await postWaiting(entry);
            cut = reason === OFFLINE;
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
            if (last) {
                location.assign(last);
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
        const at = Date.now();
        if (await prepare(form, body)) {
            // Behind entries that still wait: order counts.
            const behind = (await mine()).length > 0;
            const { became, to, reason } = behind ? { became: 'later', to: null, reason: cut ? OFFLINE : '' } : await post(form.action, body);
            cut = reason === OFFLINE;
            if (became === 'sent') {
                location.assign(to);
                return;
            }
            if (became === 'refused') {
                form.removeAttribute('data-send');
                form.submit();
                return;
            }
            await keep({ key: body.get('key'), person, at, action: form.getAttribute('action'), fields: [...body.entries()].filter(([, value]) => !(value instanceof File) || value.size > 0), labels: labelsOf(form) });
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
