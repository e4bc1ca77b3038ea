// Entries are sent by the page itself: without a connection they stay on this tablet, in order, and go out when it is back.
// Every entry carries a key, so that one sent twice counts once, and its age, so that a late one keeps its time.

import { all, around, one } from './dom.js';
import { counted, dealtWith, drop, keep, refuse, refused, typedIn, waiting } from './outbox.js';
import { fail, prepare } from './photo.js';

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

/** The entries of this person that were refused after waiting, each until it is dealt with. */
function showRefused(person) {
    const place = one('[data-refused]', HTMLElement);
    const mine = refused(localStorage).filter((entry) => entry.person === person);
    if (!place) {
        return;
    }
    place.hidden = mine.length === 0 || person === '';
    const list = one('ul', HTMLUListElement, place);
    const template = one('template', HTMLTemplateElement, place);
    list.replaceChildren(...(place.hidden ? [] : mine).map((entry) => {
        const item = /** @type {DocumentFragment} */ (template.content.cloneNode(true));
        one('[data-typed]', HTMLElement, item).textContent = typedIn(entry);
        one('[data-reason]', HTMLElement, item).textContent = entry.reason;
        one('a', HTMLAnchorElement, item).href = `${entry.action.replace(/\/(entries|finish|cautions).*$/, '')}?step=${encodeURIComponent(new Map(entry.fields).get('step') ?? '')}`;
        one('button', HTMLButtonElement, item).addEventListener('click', () => { dealtWith(localStorage, entry.key); showRefused(person); });
        return item;
    }));
}

export function startSending() {
    const person = document.body.dataset.person ?? '';
    const notice = one('[data-waiting]', HTMLElement);
    let cut = !navigator.onLine;
    const mine = () => waiting(localStorage).filter((entry) => entry.person === person);
    const show = (signIn = person === '') => {
        const number = waiting(localStorage).length;
        if (notice) {
            notice.hidden = number === 0;
            notice.querySelector('span').textContent = signIn || mine().length < number
                ? `${counted(number)} kept on this tablet. Whoever made them signs in, and they are sent.`
                : `${cut ? 'No connection' : 'The server is busy'}. ${counted(number)} kept on this tablet and sent as soon as it is back. Go on.`;
        }
    };
    let sending = false;
    const flush = async () => {
        if (sending || person === '' || mine().length === 0) {
            return;
        }
        sending = true;
        let last = null;
        for (const entry of mine()) {
            const body = new FormData();
            entry.fields.forEach(([name, value]) => body.append(name, value));
            body.set('_token', one('input[name=_token]', HTMLInputElement)?.value ?? body.get('_token'));
            body.set('age', String(Math.round((Date.now() - entry.at) / 1000)));
            body.set('waited', '1');
            const { became, to, reason } = await post(entry.action, body);
            cut = reason === OFFLINE;
            if (became === 'later' || became === 'sign-in') {
                last = became === 'sign-in' ? null : last;
                show(became === 'sign-in');
                break;
            }
            if (became === 'refused') {
                refuse(localStorage, entry, reason);
                showRefused(person);
                show();
                continue;
            }
            drop(localStorage, entry.key);
            last = to;
        }
        sending = false;
        if (last !== null) {
            location.assign(last);
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
        const photo = [...body.values()].some((value) => value instanceof File && value.size > 0);
        if (!photo || (await prepare(form, body))) {
            // Behind entries that still wait: order counts.
            const { became, to, reason } = mine().length > 0 && !photo ? { became: 'later', to: null, reason: cut ? OFFLINE : '' } : await post(form.action, body);
            cut = reason === OFFLINE;
            if (became === 'sent') {
                location.assign(to);
                return;
            }
            if (became === 'refused' || (photo && became === 'sign-in')) {
                form.removeAttribute('data-send');
                form.submit();
                return;
            }
            if (photo) {
                fail(form, 'No connection. The photograph is still here: press again when it is back.');
            } else {
                keep(localStorage, { key: body.get('key'), person, at: Date.now(), action: form.getAttribute('action'), fields: [...body.entries()].filter(([, value]) => typeof value === 'string'), labels: labelsOf(form) });
                one('input[name=key]', HTMLInputElement, form).value = freshKey();
                if (became === 'sign-in') {
                    location.reload();
                    return;
                }
            }
        }
        delete form.dataset.sent;
        show();
    });

    showRefused(person);
    addEventListener('online', flush);
    setInterval(flush, AGAIN_MS);
    show();
    flush();
}
