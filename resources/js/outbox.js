// What a tablet keeps of entries, photographs too: those that wait for a connection, and those that were refused after waiting.

import { openDB } from 'idb';

const NAME = 'aqbel';
const WAITING = 'waiting';
const REFUSED = 'refused';

/** Where an earlier version kept the same lists. */
const EARLIER = { [WAITING]: 'aqbel.waiting', [REFUSED]: 'aqbel.refused' };

let opened = null;

function database() {
    opened ??= openDB(NAME, 1, {
        upgrade(made) {
            made.createObjectStore(WAITING, { keyPath: 'order', autoIncrement: true }).createIndex('key', 'key', {
                unique: true,
            });
            made.createObjectStore(REFUSED, { keyPath: 'key' });
        },
        blocking: () => { opened?.then((open) => open.close()); opened = null; },
    });
    return opened;
}

/** Takes over what an earlier version kept; nothing that waits is lost by an upgrade. */
export async function takeOver(storage) {
    for (const [list, name] of Object.entries(EARLIER)) {
        let kept = [];
        try {
            kept = JSON.parse(storage.getItem(name) ?? '[]');
        } catch { /* a damaged list is an empty one */ }
        for (const entry of Array.isArray(kept) ? kept : []) {
            await (list === WAITING ? keep(entry) : (await database()).put(REFUSED, entry));
        }
        storage.removeItem(name);
    }
}

/** What is waiting, oldest first. */
export async function waiting() {
    return (await database()).getAll(WAITING);
}

/** Keeps an entry; the same key is kept once. */
export async function keep(entry) {
    const writing = (await database()).transaction(WAITING, 'readwrite');
    if ((await writing.store.index('key').getKey(entry.key)) === undefined) {
        await writing.store.add(entry);
    }
    await writing.done;
}

export async function drop(key) {
    const writing = (await database()).transaction(WAITING, 'readwrite');
    const order = await writing.store.index('key').getKey(key);
    if (order !== undefined) {
        await writing.store.delete(order);
    }
    await writing.done;
}

/** Entries that were refused after waiting, each with its reason, until somebody has dealt with them. */
export async function refused() {
    return (await database()).getAll(REFUSED);
}

/** Moves a waiting entry to those that were refused: in one go, so that it is never in neither. */
export async function refuse(entry, reason) {
    const writing = (await database()).transaction([WAITING, REFUSED], 'readwrite');
    const order = await writing.objectStore(WAITING).index('key').getKey(entry.key);
    await writing.objectStore(REFUSED).put({ ...entry, reason });
    if (order !== undefined) {
        await writing.objectStore(WAITING).delete(order);
    }
    await writing.done;
}

export async function dealtWith(key) {
    await (await database()).delete(REFUSED, key);
}

/** What was typed into an entry, for lists of them: by the labels of its form, where they are known. */
export function typedIn(entry) {
    const typed = entry.fields.filter(
        ([name, value]) =>
            /^(fields|sheet\[[^\]]+\])\[./.test(name) && value !== '' && !(name.startsWith('sheet') && value === '1'),
    );
    const words = typed.map(([name, value]) => `${entry.labels?.[name] ?? name.replace(/^.*\[|\]$/g, '')} ${value}`);
    const photo = entry.fields.some(([name, value]) => name === 'photo' && typeof value === 'object')
        ? ['Photograph']
        : [];
    const doing = entry.action.endsWith('/sheet')
        ? ['All of a sheet done']
        : entry.action.endsWith('/finish')
          ? ['Finish the step']
          : entry.action.endsWith('/cautions')
            ? ['Caution read']
            : [];
    return [...photo, ...words, ...(words.length + photo.length === 0 ? doing : [])].join(', ');
}

/** Where an entry was made. */
export function pageOf(entry) {
    const step = new Map(entry.fields).get('step') ?? '';
    return `${entry.action.replace(/\/(entries|late|finish|cautions|sheet|photos).*$/, '')}?step=${encodeURIComponent(step)}`;
}

/** "1 entry is" or "3 entries are". */
export function counted(number) {
    return number === 1 ? '1 entry is' : `${number} entries are`;
}
