// Elements by selector, with the type the caller relies on.

/**
 * @template {Element} T
 * @param {string} selector
 * @param {new () => T} type
 * @param {ParentNode} root
 * @returns {T | null} null also where another kind of element stands
 */
export function one(selector, type, root = document) {
    const found = root.querySelector(selector);
    return found instanceof type ? found : null;
}

/**
 * @template {Element} T
 * @param {string} selector
 * @param {new () => T} type
 * @param {ParentNode} root
 * @returns {T[]}
 */
export function all(selector, type, root = document) {
    return /** @type {T[]} */ ([...root.querySelectorAll(selector)].filter((found) => found instanceof type));
}

/**
 * What an event happened at, or the nearest thing around it that is meant.
 *
 * @template {Element} T
 * @param {Event} event
 * @param {string} selector
 * @param {new () => T} type
 * @returns {T | null}
 */
export function around(event, selector, type) {
    const found = event.target instanceof Element ? event.target.closest(selector) : null;
    return found instanceof type ? found : null;
}

/**
 * The fields of a form as the query of an address; files have no place in it.
 *
 * @param {HTMLFormElement} form
 */
export function queryOf(form) {
    const query = new URLSearchParams();
    new FormData(form).forEach((value, name) => typeof value === 'string' && query.append(name, value));
    return query;
}
