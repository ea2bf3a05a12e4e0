/* Time across the board: minutes to pixels and back. Nights and weekends can be folded: each is a narrow band then. */
class BoardAxis {
    static FOLD = 10; // pixels a folded span takes

    static MOST = 0.15; // of the board that folds may take together

    /* quiet: spans of minutes that can be folded; none = nothing is. hours: so much time the board shows at once. */
    constructor(from, to, quiet, hours, width) {
        this.from = from;
        this.quiet = quiet;
        const all = Math.max(1, to - from);
        const hidden = quiet.reduce((sum, [start, end]) => sum + end - start, 0);
        const share = (hours * 60) / all;
        const folds = quiet.length * share;
        this.fold = folds > 0 ? Math.min(BoardAxis.FOLD, (BoardAxis.MOST * width) / folds) : 0;
        this.scale = (width - folds * this.fold) / Math.max(60, (all - hidden) * share);
        this.edges = [[from, 0]]; // minute and pixel of each bend
        let x = 0;
        let at = from;
        quiet.forEach(([start, end]) => {
            x += (start - at) * this.scale;
            this.edges.push([start, x], [end, x + this.fold]);
            x += this.fold;
            at = end;
        });
    }

    x(minute) {
        const [at, x] = this.edges[this.last(0, minute)];
        const fold = this.foldAt(minute);
        return x + (minute - at) * (fold ? this.fold / (fold[1] - fold[0]) : this.scale);
    }

    minute(pixel) {
        const i = this.last(1, pixel);
        const [at, x] = this.edges[i];
        const next = this.edges[i + 1];
        const isFold = i % 2 === 1 && next;
        return Math.round(
            at + (isFold ? ((pixel - x) * (next[0] - at)) / Math.max(0.001, this.fold) : (pixel - x) / this.scale),
        );
    }

    /* The folded span a minute lies in. */
    foldAt(minute) {
        const i = this.last(0, minute);
        return i % 2 === 1 && this.edges[i + 1] && minute < this.edges[i + 1][0] ? this.quiet[(i - 1) / 2] : null;
    }

    /* The last bend not behind a minute (0) or pixel (1). */
    last(by, value) {
        let low = 0;
        let high = this.edges.length - 1;
        while (low < high) {
            const mid = (low + high + 1) >> 1;
            if (this.edges[mid][by] <= value) low = mid;
            else high = mid - 1;
        }
        return low;
    }
}
