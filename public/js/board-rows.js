/* Which rows the board has, and which bar lies in which: machines of work centres, orders, or the load alone. */
class BoardRows {
    static GAP = 7; // pixels

    static LOAD_ALONE = 38;

    constructor(board) {
        this.board = board;
        this.rows = [];
        this.y = 2;
        ({ centre: () => this.byCentre(), order: () => this.byOrder(), load: () => this.byLoad() })[board.by]();
        this.height = this.y + 6;
        const at = new Map(this.rows.map((row) => [row.key, row]));
        board.bars.forEach((bar) => {
            bar.row = at.get(this.keyOf(bar));
        });
        this.byRow = this.inRows(board.bars);
        this.done = this.inRows(board.by === 'load' ? [] : this.doneIn(at));
    }

    inRows(bars) {
        const byRow = new Map(this.rows.map((row) => [row, []]));
        bars.forEach((bar) => byRow.get(bar.row)?.push(bar));
        byRow.forEach((list) => list.sort((a, b) => a.start - b.start));
        return byRow;
    }

    keyOf(bar) {
        if (this.board.by === 'order') return `o${bar.order}`;
        return bar.centre === 0 ? `0/${bar.lane}` : `${bar.centre}/${bar.machine}`;
    }

    add(key, more, height = BoardPaint.ROW) {
        this.rows.push({ key, y: this.y, h: height, ...more });
        this.y += height;
    }

    byCentre() {
        const { board } = this;
        board.data.centres.forEach((centre) => {
            centre.top = this.y;
            for (let m = 1; m <= centre.machines; m++)
                this.add(`${centre.id}/${m}`, { centre, machine: m, first: m === 1 });
            this.load(centre, BoardPaint.LOAD);
        });
        const lanes = this.lanes(board.bars.filter((bar) => bar.centre === 0));
        this.outTop = this.y;
        for (let i = 0; i < Math.max(1, lanes); i++) this.add(`0/${i}`, { centre: null, lane: i, first: i === 0 });
    }

    byOrder() {
        const last = (order) => order.due ?? Infinity;
        Object.entries(this.board.data.orders)
            .map(([id, order]) => ({ id: Number(id), ...order }))
            .sort((a, b) => last(a) - last(b) || a.id - b.id)
            .forEach((order) => this.add(`o${order.id}`, { order, first: true }));
    }

    byLoad() {
        this.board.data.centres.forEach((centre) => {
            centre.top = this.y;
            this.load(centre, BoardRows.LOAD_ALONE);
        });
    }

    load(centre, height) {
        centre.loadY = this.y;
        centre.loadH = height;
        this.y += height + BoardRows.GAP;
        centre.bottom = this.y - BoardRows.GAP;
    }

    /* Steps at suppliers lie side by side: each in the first lane that is free. */
    lanes(bars) {
        const ends = [];
        bars.forEach((bar) => {
            bar.lane = BoardRows.firstFree(ends, bar.start);
            ends[bar.lane] = bar.end + 60;
        });
        return ends.length;
    }

    static firstFree(ends, start) {
        const free = ends.findIndex((end) => end <= start);
        return free < 0 ? ends.length : free;
    }

    /* What was done: on which machine is not booked, so it lies in the first row of its work centre that is free. */
    doneIn(at) {
        const ends = {};
        return this.board.done.map((bar) => {
            const own = (ends[bar.centre] ??= []);
            const machines = this.board.centreOf(bar.centre)?.machines ?? 1;
            const lane = Math.min(machines - 1, BoardRows.firstFree(own, bar.start));
            own[lane] = Math.max(own[lane] ?? 0, bar.end);
            return { ...bar, row: at.get(this.board.by === 'order' ? `o${bar.order}` : `${bar.centre}/${lane + 1}`) };
        });
    }
}
