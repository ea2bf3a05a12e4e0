/* Time across the board: minutes to pixels and back. Nights and weekends can be folded: each is a narrow band then. */
class BoardAxis {
    static FOLD = 10; // pixels a folded span takes

    static MOST = 0.15; // of the board that folds may take together

    /*
     * quiet: spans of minutes that can be folded; none = nothing is. hours: so much time the board shows at once; with
     * folds the days that are worked in it, five for a week. What there is to show fills it in any case.
     */
    constructor(from, to, quiet, hours, width) {
        this.from = from;
        this.quiet = quiet;
        const all = Math.max(60, to - from);
        const open = all - quiet.reduce((sum, [start, end]) => sum + end - start, 0);
        const week = BoardAxis.fullestWeek(from, to, quiet);
        const weeks = quiet.length === 0 ? hours / 168 : hours / (hours > 120 ? 168 : 120);
        const shown = Math.max(60, Math.min(open, weeks * week.open));
        const folds = Math.min(quiet.length, weeks * week.folds);
        this.fold = folds > 0 ? Math.min(BoardAxis.FOLD, (BoardAxis.MOST * width) / folds) : 0;
        this.scale = (width - folds * this.fold) / shown;
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

    /* Of seven days that in which most is worked: its minutes that are not folded, and how many folds lie in it. */
    static fullestWeek(from, to, quiet) {
        const days = 7 * 1440;
        let fullest = { open: 0, folds: 0 };
        for (let day = from; day === from || day + days <= to; day += 1440) {
            const within = quiet.filter(([start, end]) => end > day && start < day + days);
            const open = within.reduce(
                (left, [start, end]) => left - Math.min(end, day + days) + Math.max(start, day),
                days,
            );
            if (open > fullest.open) fullest = { open, folds: within.length };
        }
        return fullest;
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
