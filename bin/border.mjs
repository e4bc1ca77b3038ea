// A tablet and a shop with a dishonest proxy between them. The tablet decides as the page does, by `outcome`, and sends an entry
// again until the shop itself has said that it is stored. In: JSON on standard input; out: what the tablet counts as stored.

import { createServer, request } from 'node:http';
import { buffer, text } from 'node:stream/consumers';
import { outcome } from '../resources/js/send.js';

const MOST_TRIES = 40;

/** @type {{ base: string, cookie: string, token: string, person: string, seed: number, entries: { path: string, key: string, fields: Record<string, string> }[] }} */
const { base, cookie, token, person, seed, entries } = JSON.parse(await text(process.stdin));

let state = seed;
/** The same sequence for the same seed, 0 to 1. */
const chance = () => {
    state = state * 48271 % 2147483647; // minimal standard generator: exact in a double
    return state / 2147483647;
};
const oneOf = (list) => list[Math.floor(chance() * list.length)];

const page = (status, body = '<html>Welcome to the guest network</html>', headers = {}) => (answer) => answer.writeHead(status, { 'Content-Type': 'text/html', ...headers }).end(body);
const json = (status, body) => (answer) => answer.writeHead(status, { 'Content-Type': 'application/json' }).end(JSON.stringify(body));

/** What the proxy says in the shop's place. */
const FORGED = [
    page(200), page(204, undefined), page(302, '', { Location: '/sign-in' }), page(307, '', { Location: '/portal' }), page(401), page(403), page(404), page(429), page(500), page(502), page(504),
    json(200, { stored: true }), json(200, { stored: true, key: 'another', person, to: '/' }), json(200, {}), json(422, { message: 'No.' }), json(419, { message: 'Stale.' }),
    (answer) => answer.destroy(),
];

const through = (asked, body, said) => {
    const on = request(new URL(asked.url, base), { method: asked.method, headers: { ...asked.headers, host: new URL(base).host } }, (got) => { buffer(got).then((whole) => said(got, whole)); });
    on.on('error', () => said(null));
    on.end(body);
};

const proxy = createServer(async (asked, answer) => {
    const body = await buffer(asked);
    const how = chance();
    if (how < 0.35) {
        oneOf(FORGED)(answer); // never reaches the shop
        return;
    }
    through(asked, body, (got, whole) => {
        if (!got || how < 0.5) {
            oneOf(FORGED)(answer); // the shop has it, and the tablet is told something else
        } else if (how < 0.6) {
            answer.writeHead(got.statusCode, { ...got.headers, 'content-length': whole.length });
            answer.write(whole.slice(0, Math.floor(chance() * whole.length)), () => answer.destroy()); // cut off in the middle
        } else {
            answer.writeHead(got.statusCode, got.headers).end(whole);
        }
    });
});
await new Promise((listening) => { proxy.listen(0, '127.0.0.1', () => listening(undefined)); });
const { port } = /** @type {import('node:net').AddressInfo} */ (proxy.address());

const [stored, refused, waiting] = [[], [], []];
let tries = 0;
for (const entry of entries) {
    let became = 'later';
    for (let again = 0; again < MOST_TRIES && (became === 'later' || became === 'sign-in'); again++) {
        tries++;
        const form = new URLSearchParams({ ...entry.fields, key: entry.key, by: person, waited: '1', _token: token });
        try {
            const response = await fetch(`http://127.0.0.1:${port}${entry.path}`, { method: 'POST', body: form, headers: { Accept: 'application/json', Cookie: cookie }, redirect: 'manual' });
            became = outcome(response.status, await response.json().catch(() => null), entry.key, person);
        } catch {
            became = 'later';
        }
    }
    ({ sent: stored, refused }[became] ?? waiting).push(entry.key);
}
proxy.close();
process.stdout.write(JSON.stringify({ stored, refused, waiting, tries }));
process.exit(0);
