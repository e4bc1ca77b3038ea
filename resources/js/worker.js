// Keeps the floor, the run and the list of what waits so that they open without a connection, for the person signed in alone.
// The server puts the names of the built files, BUILD and ASSETS, before this text.

/* global BUILD, ASSETS */

const FILES = `aqbel-files-${BUILD}`;
const PAGES = 'aqbel-pages';
const WHO = '/who-is-signed-in';
const OUTBOX = '/outbox';
const MOST_PAGES = 60;

const opensAlone = (path) => path === '/' || path === OUTBOX || /^\/jobs\/\d+(\/record)?$/.test(path);

self.addEventListener('install', (event) => {
    event.waitUntil(caches.open(FILES).then((files) => files.addAll(ASSETS)).then(() => self.skipWaiting()));
});

self.addEventListener('activate', (event) => {
    const old = (names) => names.filter((name) => name.startsWith('aqbel-files-') && name !== FILES);
    event.waitUntil(
        caches
            .keys()
            .then((names) => Promise.all(old(names).map((name) => caches.delete(name))))
            .then(() => self.clients.claim()),
    );
});

/** Nothing of one person's is kept for the next: another name, or none, and all pages go. */
async function pagesOf(person) {
    const pages = await caches.open(PAGES);
    if (person !== '' && (await (await pages.match(WHO))?.text()) === person) {
        return pages;
    }
    await caches.delete(PAGES);
    if (person === '') {
        return null;
    }
    const fresh = await caches.open(PAGES);
    await fresh.put(WHO, new Response(person));
    for (const path of ['/', OUTBOX]) {
        // As a script's request, so that “back” does not lead to a page that nobody opened.
        const page = await fetch(path, { headers: { 'X-Live': '1', 'X-Requested-With': 'XMLHttpRequest' } });
        if (page.ok && page.headers.get('Aqbel-Person') === person) {
            await fresh.put(path, page);
        }
    }
    return fresh;
}

async function remember(address, response) {
    const pages = await pagesOf(response.headers.get('Aqbel-Person') ?? '');
    if (pages && response.ok && opensAlone(address.pathname)) {
        await pages.delete(address.href);
        await pages.put(address.href, response);
        const kept = await pages.keys();
        await Promise.all(
            kept
                .slice(0, Math.max(0, kept.length - MOST_PAGES))
                .filter(
                    (one) =>
                        opensAlone(new URL(one.url).pathname) && !['/', OUTBOX].includes(new URL(one.url).pathname),
                )
                .map((one) => pages.delete(one)),
        );
    }
}

/** Without a connection: the same page as last seen, the same job whatever its step, or the list of what waits. */
async function lastSeen(address) {
    const pages = await caches.open(PAGES);
    const page =
        (await pages.match(address.href)) ??
        (await pages.match(address.href, { ignoreSearch: true })) ??
        (await pages.match(OUTBOX));
    // The page is told that it is a kept one: what is sent from it is a new entry, not the one it was loaded for.
    return page
        ? new Response((await page.text()).replace('<body', '<body data-kept'), { headers: page.headers })
        : Response.error();
}

/** A page that was put in place without going to it. */
self.addEventListener('message', (event) => {
    const { address, html, person } = event.data ?? {};
    if (typeof html === 'string' && address.startsWith(self.location.origin)) {
        const headers = { 'Content-Type': 'text/html; charset=utf-8', 'Aqbel-Person': person };
        event.waitUntil(remember(new URL(address), new Response(html, { headers })));
    }
});

self.addEventListener('fetch', (event) => {
    const address = new URL(event.request.url);
    if (address.pathname === '/sign-out') {
        event.waitUntil(caches.delete(PAGES)); // also when the server is not there to hear of it
    }
    if (event.request.method !== 'GET' || address.origin !== self.location.origin) {
        return;
    }
    if (ASSETS.includes(address.pathname)) {
        event.respondWith(caches.match(address.pathname).then((kept) => kept ?? fetch(event.request)));
    } else if (event.request.mode === 'navigate') {
        address.hash = '';
        event.respondWith(fetch(event.request).then((response) => {
            if (response.type !== 'opaqueredirect') {
                event.waitUntil(remember(address, response.clone()));
            }
            return response;
        }, () => lastSeen(address)));
    }
});
