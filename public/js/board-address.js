/* The address of the board says what is seen, so that it can be sent to a colleague and come back to. */
class BoardAddress {
    constructor(board) {
        this.board = board;
    }

    /* The paper begins with the day in the middle of the first third. */
    aimPaper() {
        const at = this.board.minuteAt(
            this.board.scroller.scrollLeft + (this.board.scroller.clientWidth - BoardPaint.LABELS) / 3,
        );
        const on = new Intl.DateTimeFormat('sv-SE', { timeZone: this.board.data.zone }).format(new Date(at * 60000));
        document.querySelectorAll('[data-paper]').forEach((link) => {
            const url = new URL(link.href);
            url.searchParams.set('on', on);
            link.href = url;
        });
    }

    remember() {
        clearTimeout(this.later);
        this.later = setTimeout(() => {
            this.aimPaper();
            const q = new URLSearchParams();
            if (!this.board.data.plan.live) q.set('plan', this.board.data.plan.id);
            q.set('zoom', this.board.zoom);
            q.set('at', this.board.minuteAt(this.board.scroller.scrollLeft));
            if (this.board.by !== 'centre') q.set('by', this.board.by);
            if (!this.board.fold) q.set('fold', '0');
            if (this.board.moved) q.set('moved', '1');
            if (this.board.want) q.set('load', 'wanted');
            Object.entries(this.board.filter).forEach(([name, value]) => {
                if (value) q.set(name, value === true ? '1' : value);
            });
            if (this.board.root.isConnected) history.replaceState(history.state, '', `${location.pathname}?${q}`);
        }, 300);
    }
}
