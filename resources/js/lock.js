// A shared tablet that nobody touches asks who is there: the server decides, the page only goes and asks it in time.

const A_MOMENT_S = 2;

/** @param {number} seconds  after which the server locks; 0 for never */
export function lockWhenIdle(seconds) {
    if (!seconds) {
        return;
    }
    let touched = Date.now();
    for (const sign of ['pointerdown', 'keydown', 'scroll']) {
        addEventListener(sign, () => { touched = Date.now(); }, { passive: true });
    }
    setInterval(() => {
        if (Date.now() - touched > (seconds + A_MOMENT_S) * 1000) {
            touched = Date.now();
            location.assign(location.href);
        }
    }, 1000);
}
