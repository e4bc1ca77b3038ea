// Entries are sent by the page itself: without a connection they stay on this tablet, in order, and go out when it is back.
// Every entry carries a key, so that one sent twice counts once, and its age, so that a late one keeps its time.

import { around, one } from './dom.js';

const STORE = 'aqbel.waiting';
const AGAIN_MS = 4000;

/** What is waiting, oldest first. */
export function waiting(store) {
    try {
        const kept = JSON.parse(store.getItem(STORE) ?? '[]');
        return Array.isArray(kept) ? kept : [];
    } catch {
        return [];
    }
}

/** Keeps an entry; the same key is kept once. */
export function keep(store, entry) {
    const rest = waiting(store).filter((kept) => kept.key !== entry.key);
    store.setItem(STORE, JSON.stringify([...rest, entry]));
}

export function drop(store, key) {
    store.setItem(STORE, JSON.stringify(waiting(store).filter((kept) => kept.key !== key)));
}

/** "1 entry is" or "3 entries are". */
export function counted(number) {
    return number === 1 ? '1 entry is' : `${number} entries are`;
}

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

/** Sends one request; says what became of it and where to go on. */
async function post(action, body) {
    try {
        const response = await fetch(action, { method: 'POST', body, headers: { Accept: 'application/json' } });
        const became = outcome(response.status);
        return { became, to: became === 'sent' ? (await response.json()).to : location.href };
    } catch {
        return { became: 'later', to: null };
    }
}

export function startSending() {
    const person = document.body.dataset.person ?? '';
    const notice = one('[data-waiting]', HTMLElement);
    const mine = () => waiting(localStorage).filter((entry) => entry.person === person);
    const show = (signIn = person === '') => {
        const number = waiting(localStorage).length;
        if (notice) {
            notice.hidden = number === 0;
            notice.querySelector('span').textContent = signIn || mine().length < number
                ? `${counted(number)} kept on this tablet. Whoever made them signs in, and they are sent.`
                : `No connection. ${counted(number)} kept on this tablet and sent as soon as it is back. Go on.`;
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
            const { became, to } = await post(entry.action, body);
            if (became === 'later' || became === 'sign-in') {
                last = became === 'sign-in' ? null : last;
                show(became === 'sign-in');
                break;
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
            const { became, to } = mine().length > 0 && !photo ? { became: 'later' } : await post(form.action, body);
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
                keep(localStorage, { key: body.get('key'), person, at: Date.now(), action: form.getAttribute('action'), fields: [...body.entries()].filter(([, value]) => typeof value === 'string') });
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

    addEventListener('online', flush);
    setInterval(flush, AGAIN_MS);
    show();
    flush();
}

const SIDE = 2000;

function fail(form, message) {
    const place = one('[data-photo-error]', HTMLElement, form);
    if (place) {
        place.hidden = false;
        place.querySelector('span').textContent = message;
        form.querySelector('input[type=file]').setAttribute('aria-invalid', 'true');
    }
}

/** A large picture is made smaller before it goes over a weak connection; one that is none stays as it is for the server to say. */
async function prepare(form, body) {
    const file = body.get('photo');
    if (!(file instanceof File) || file.size === 0) {
        return true;
    }
    if (file.size > 3 * Number(form.dataset.mostBytes)) {
        fail(form, `This file is ${Math.round(file.size / 1048576)} MB. Set the camera to a smaller picture and take it again.`);
        return false;
    }
    try {
        const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
        const scale = SIDE / Math.max(picture.width, picture.height);
        if (scale < 1) {
            const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale));
            canvas.getContext('2d').drawImage(picture, 0, 0, canvas.width, canvas.height);
            body.set('photo', await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 }), 'photo.jpg');
        }
    } catch {
        return true;
    }
    return true;
}
