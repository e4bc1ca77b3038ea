// A photograph is made smaller before it goes over a weak connection; what is none is left for the server to say.

import { one } from './dom.js';

const SIDE = 2000;

export function fail(form, message) {
    const place = one('[data-photo-error]', HTMLElement, form);
    if (place) {
        place.hidden = false;
        place.querySelector('span').textContent = message;
        form.querySelector('input[type=file]').setAttribute('aria-invalid', 'true');
    }
}

/** A large picture is made smaller before it goes over a weak connection; one that is none stays as it is for the server to say. */
export async function prepare(form, body) {
    const file = body.get('photo');
    if (!(file instanceof File) || file.size === 0) {
        return true;
    }
    if (file.size > 3 * Number(form.dataset.mostBytes)) {
        fail(
            form,
            `This file is ${Math.round(file.size / 1048576)} MB. Set the camera to a smaller picture and take it again.`,
        );
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
