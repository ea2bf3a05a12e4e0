/* What is done to the board by hand: a step picked up, dragged with a preview, dropped or put back. */
class BoardHand {
    constructor(board) {
        this.board = board;
        this.held = null;
        this.listen(board.field);
    }

    listen(field) {
        field.addEventListener('pointerdown', (event) => {
            if (event.button !== 0 || event.target.closest('a')) return;
            const { bar, minute } = this.board.at(event);
            this.board.pick(bar);
            if (bar && !bar.isDone && this.board.root.dataset.may === '1' && this.board.by === 'centre')
                this.held = {
                    bar,
                    dx: minute - bar.start,
                    x: event.clientX,
                    y: event.clientY,
                    id: event.pointerId,
                };
        });
        field.addEventListener('pointermove', (event) => {
            const h = this.held;
            if (!h) {
                this.board.hover(event);
                return;
            }
            if (!this.board.drag && Math.hypot(event.clientX - h.x, event.clientY - h.y) < 5) return;
            if (!this.board.drag) this.board.field.setPointerCapture(h.id);
            const { row, minute } = this.board.at(event);
            this.moveTo(h.bar, row && row.centre ? row : h.bar.row, minute - h.dx);
        });
        const drop = () => {
            if (this.held && this.board.drag) this.board.drag.dropped = true;
            this.held = null;
            this.board.panel.show();
        };
        field.addEventListener('pointerup', drop);
        field.addEventListener('pointercancel', () => {
            this.held = null;
            this.putBack();
        });
        field.addEventListener('dblclick', (event) => {
            const { bar } = this.board.at(event);
            if (bar) window.location = `${this.board.root.dataset.orders}/${bar.order}`;
        });
    }

    /* Moving: the preview follows, one question at a time, the last one counts. */
    moveTo(bar, row, minute) {
        this.board.drag = { ...(this.board.drag || {}), bar, row, minute: Math.round(minute / 5) * 5, dropped: false };
        this.board.marks.draw();
        this.board.panel.show();
        this.soon();
    }

    soon() {
        if (this.asking) {
            this.askAgain = true;
            return;
        }
        const d = this.board.drag;
        if (!d) return;
        this.asking = true;
        const where = { centre: d.row.centre.id, machine: d.row.machine, minute: d.minute };
        const asked = new URLSearchParams({ plan: this.board.data.plan.id, step: d.bar.id, ...where });
        fetch(`${this.board.root.dataset.preview}?${asked}`, { headers: { Accept: 'application/json', 'X-Plan': '1' } })
            .then((reply) => (reply.ok ? reply.json() : Promise.reject(reply)))
            .then((preview) => {
                if (this.board.drag && this.board.drag.bar === d.bar) {
                    this.board.drag.preview = preview;
                    this.board.drag.asked = { row: d.row, minute: d.minute };
                    this.board.marks.draw();
                    this.board.panel.show();
                }
            })
            .catch(() => this.board.panel.announce('The server cannot be reached. Nothing was changed.'))
            .finally(() => {
                this.asking = false;
                if (this.askAgain) {
                    this.askAgain = false;
                    this.soon();
                }
            });
    }

    isAsked() {
        const d = this.board.drag;
        return d?.preview && d.asked && d.asked.row === d.row && d.asked.minute === d.minute;
    }

    putBack() {
        this.board.drag = null;
        this.board.marks.draw();
        this.board.panel.show();
    }
}
