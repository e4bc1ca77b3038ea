// Whether somebody is in the middle of something.

/** Whether somebody is in the middle of typing: a page that goes elsewhere then takes it along. */
export function isTyping(page) {
    const typed = [...page.querySelectorAll('form[data-send] input:not([type=hidden]), form[data-send] textarea')];
    return typed.some((field) =>
        ['checkbox', 'radio'].includes(field.type)
            ? field.checked !== field.defaultChecked
            : field.value !== field.defaultValue,
    );
}
