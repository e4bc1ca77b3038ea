// What a tablet keeps of entries: those that wait for a connection, and those that were refused after waiting.

const WAITING = 'aqbel.waiting';
const REFUSED = 'aqbel.refused';

const read = (store, name) => {
    try {
        const kept = JSON.parse(store.getItem(name) ?? '[]');
        return Array.isArray(kept) ? kept : [];
    } catch {
        return [];
    }
};
const add = (store, name, entry) => store.setItem(name, JSON.stringify([...read(store, name).filter((kept) => kept.key !== entry.key), entry]));
const remove = (store, name, key) => store.setItem(name, JSON.stringify(read(store, name).filter((kept) => kept.key !== key)));

/** What is waiting, oldest first. */
export function waiting(store) {
    return read(store, WAITING);
}

/** Keeps an entry; the same key is kept once. */
export function keep(store, entry) {
    add(store, WAITING, entry);
}

export function drop(store, key) {
    remove(store, WAITING, key);
}

/** Entries that were refused after waiting, each with its reason, until somebody has dealt with them. */
export function refused(store) {
    return read(store, REFUSED);
}

/** Moves a waiting entry to those that were refused: in one go, so that it is never in neither. */
export function refuse(store, entry, reason) {
    add(store, REFUSED, { ...entry, reason });
    drop(store, entry.key);
}

export function dealtWith(store, key) {
    remove(store, REFUSED, key);
}

/** What was typed into an entry, for the list of refused ones: by the labels of its form, where they are known. */
export function typedIn(entry) {
    const typed = entry.fields.filter(([name, value]) => name.startsWith('fields[') && value !== '');
    return typed.map(([name, value]) => `${entry.labels?.[name] ?? name.slice(7, -1)} ${value}`).join(', ');
}

/** "1 entry is" or "3 entries are". */
export function counted(number) {
    return number === 1 ? '1 entry is' : `${number} entries are`;
}
