// Entries are sent by the page itself: without a connection they stay on this tablet, in order, and go out when it is back.
// Every entry carries a key, so that one sent twice counts once, and its age, so that a late one keeps its time.

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
    const rest = waiting(store).filter((one) => one.key !== entry.key);
    store.setItem(STORE, JSON.stringify([...rest, entry]));
}

export function drop(store, key) {
    store.setItem(STORE, JSON.stringify(waiting(store).filter((one) => one.key !== key)));
}

/** "1 entry is" or "3 entries are". */
export function counted(number) {
    return number === 1 ? '1 entry is' : `${number} entries are`;
}

const freshKey = () => [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** Sends one request; the address to go on to, or null without a connection. Anything else is thrown. */
async function post(action, body) {
    let response;
    try {
        response = await fetch(action, { method: 'POST', body, headers: { Accept: 'application/json' } });
    } catch {
        return null;
    }
    if (!response.ok) {
        throw new Error(String(response.status));
    }
    return (await response.json()).to;
}

export function startSending() {
    const notice = document.querySelector('[data-waiting]');
    const show = () => {
        const number = waiting(localStorage).length;
        if (notice) {
            notice.hidden = number === 0;
            notice.querySelector('span').textContent = `No connection. ${counted(number)} kept on this tablet and sent as soon as it is back. Go on.`;
        }
    };
    let sending = false;
    const flush = async () => {
        if (sending || waiting(localStorage).length === 0) {
            return;
        }
        sending = true;
        let to = null;
        for (const entry of waiting(localStorage)) {
            const body = new FormData();
            entry.fields.forEach(([name, value]) => body.append(name, value));
            body.set('_token', document.querySelector('input[name=_token]')?.value ?? body.get('_token'));
            body.set('age', String(Math.round((Date.now() - entry.at) / 1000)));
            try {
                to = await post(entry.action, body);
            } catch (refused) {
                // Refused for good (signed off, gone): it is not sent again, and the page shows what counts.
                to = Number(refused.message) >= 500 || refused.message === '419' ? null : location.href;
            }
            if (to === null) {
                break;
            }
            drop(localStorage, entry.key);
        }
        sending = false;
        show();
        if (to !== null) {
            location.assign(to);
        }
    };

    document.addEventListener('submit', async (event) => {
        const form = event.target.closest('[data-send]');
        if (!form || event.defaultPrevented) {
            return;
        }
        event.preventDefault();
        if (form.dataset.sent) {
            return;
        }
        form.dataset.sent = '1';
        const body = new FormData(form, event.submitter);
        const ready = form.matches('[data-photo]') ? await prepare(form, body) : true;
        if (!ready) {
            delete form.dataset.sent;
            return;
        }
        try {
            const photo = [...body.values()].some((value) => value instanceof File && value.size > 0);
            // Behind entries that still wait: order counts.
            const to = waiting(localStorage).length > 0 && !photo ? null : await post(form.action, body);
            if (to !== null) {
                location.assign(to);
                return;
            }
            if (photo) {
                fail(form, 'No connection. The photograph is still here: press again when it is back.');
            } else {
                keep(localStorage, { key: body.get('key'), at: Date.now(), action: form.getAttribute('action'), fields: [...body.entries()].filter(([, value]) => typeof value === 'string') });
                form.querySelector('input[name=key]').value = freshKey();
            }
        } catch {
            form.removeAttribute('data-send');
            form.submit();
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
    const place = form.querySelector('[data-photo-error]');
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
