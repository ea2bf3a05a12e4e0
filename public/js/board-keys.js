/* The board by keys: from step to step, moving one a place earlier or later or to another machine, pin, undo, zoom. */
class BoardKeys {
    constructor(board) {
        this.board = board;
        board.root.addEventListener('keydown', (event) => this.key(event));
    }

    start() {
        const bar = this.board.selected;
        if (!bar || bar.isDone || bar.centre === 0 || this.board.root.dataset.may !== '1') return;
        this.board.drag = { bar, row: bar.row, minute: bar.start, keys: true };
        this.board.hand.soon();
        this.board.marks.draw();
        this.board.panel.show();
    }

    key(event) {
        if (event.target.matches('input, select, a, button') || event.ctrlKey || event.metaKey || event.altKey) return;
        const move = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
        const take = () => {
            event.preventDefault();
            event.stopPropagation();
        };
        if (move) {
            take();
            this.board.drag ? this.shift(...move) : this.step(...move);
            return;
        }
        if (event.key === 'Escape') {
            take();
            if (this.board.panel.closeThreads()) return;
            this.board.drag ? this.board.hand.putBack() : this.board.pick(null);
            this.board.draw();
            return;
        }
        if (event.key === 'Enter') {
            take();
            if (this.board.drag && this.board.hand.isAsked() && this.board.drag.preview.can)
                this.board.panel.does('keep');
            else if (!this.board.drag && this.board.selected)
                window.location = `${this.board.root.dataset.orders}/${this.board.selected.order}`;
            return;
        }
        const deeds = {
            m: () => this.start(),
            p: () =>
                !this.board.selected?.isDone &&
                (this.board.drag
                    ? this.board.hand.isAsked() && this.board.drag.preview.pin && this.board.panel.does('pin')
                    : this.board.selected?.pinned
                      ? this.board.panel.does('unpin')
                      : this.board.selected && this.board.panel.does('pin-here')),
            u: () => document.querySelector('#board-undo')?.requestSubmit(),
            r: () => document.querySelector('#board-redo')?.requestSubmit(),
            '+': () => this.zoomBy(-1),
            '=': () => this.zoomBy(-1),
            '-': () => this.zoomBy(1),
            t: () => this.board.selected && this.board.panel.does('threads'),
            w: () => {
                if (this.board.selected && this.board.data.orders[this.board.selected.order]?.late > 0)
                    window.location = `${this.board.root.dataset.late}/${this.board.selected.order}`;
            },
            h: () => this.board.goToNow(),
            f: () => document.querySelector('[data-board=fold]')?.click(),
        };
        if (deeds[event.key]) {
            take();
            deeds[event.key]();
        }
    }

    zoomBy(by) {
        const names = Object.keys(this.board.spans);
        this.board.setZoom(names[Math.max(0, Math.min(names.length - 1, names.indexOf(this.board.zoom) + by))]);
    }

    step(dx, dy) {
        const from = this.board.selected;
        let to = null;
        if (!from) to = this.board.bars.find((bar) => bar.row && bar.end >= this.board.data.now) ?? this.board.bars[0];
        else if (dx) {
            const row = this.board.byRow.get(from.row);
            to = row[row.indexOf(from) + dx];
        } else {
            for (let i = this.board.rows.indexOf(from.row) + dy; !to && this.board.rows[i]; i += dy)
                to = [...(this.board.byRow.get(this.board.rows[i]) || [])].sort(
                    (a, b) => Math.abs(a.start - from.start) - Math.abs(b.start - from.start),
                )[0];
        }
        if (!to) return;
        this.board.pick(to);
        this.board.show(to);
        this.board.draw();
        this.board.panel.announce(this.board.panel.text);
    }

    /* By keys: one place earlier or later in the sequence, or to the next machine that can do it. */
    shift(dx, dy) {
        const d = this.board.drag;
        if (dx) {
            const others = (this.board.byRow.get(d.row) || []).filter((bar) => bar !== d.bar);
            const to =
                dx > 0
                    ? others.find((bar) => bar.start >= d.minute && bar.end > d.minute)
                    : others.filter((bar) => bar.start < d.minute).pop();
            if (to) this.board.hand.moveTo(d.bar, d.row, dx > 0 ? to.end : to.start);
            this.board.drag.keys = true;
            return;
        }
        const can = d.bar.can.length ? d.bar.can : [d.bar.centre];
        const rows = this.board.rows.filter((row) => row.centre && can.includes(row.centre.id));
        const row = rows[rows.indexOf(d.row) + dy];
        if (row) {
            this.board.hand.moveTo(d.bar, row, d.minute);
            this.board.drag.keys = true;
        }
    }
}
