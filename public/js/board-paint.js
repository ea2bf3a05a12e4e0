/* Paints what is in view of the board on a canvas, anew for each frame: bars, closed time, load, time. Only reads. */
class BoardPaint {
    static ROW = 24;

    static LOAD = 15;

    static HEAD = 38;

    static LABELS = 176;

    constructor(canvas) {
        this.canvas = canvas;
        this.ink = canvas.getContext('2d', { alpha: false });
        const of = getComputedStyle(document.documentElement),
            v = (name) => of.getPropertyValue(name).trim();
        this.color = {
            ink: v('--ink'),
            ink2: v('--ink-2'),
            line: v('--line'),
            sheet: v('--sheet'),
            behind: v('--behind'),
            behind2: v('--behind-2'),
            act: v('--act'),
            soon: v('--soon'),
            outside: v('--outside'),
            outside2: v('--outside-2'),
        };
        const c = this.color;
        this.kinds = {
            run: ['#b9d6ce', c.act, c.ink],
            firm: ['#fffdf8', c.ink2, c.ink],
            late: [c.behind2, c.behind, c.ink],
            started: [c.act, c.act, '#fff'],
            'late-on': [c.behind, c.behind, '#fff'],
            out: [c.outside2, c.outside, c.ink],
        };
        this.hatch = this.pattern();
    }

    pattern() {
        const tile = document.createElement('canvas');
        tile.width = tile.height = 8;
        const ink = tile.getContext('2d');
        ink.fillStyle = '#efe6d4';
        ink.fillRect(0, 0, 8, 8);
        ink.strokeStyle = '#ddd0b8';
        ink.lineWidth = 1.6;
        ink.beginPath();
        [
            [-2, 2, 2, -2],
            [0, 8, 8, 0],
            [6, 10, 10, 6],
        ].forEach(([a, b, c, d]) => {
            ink.moveTo(a, b);
            ink.lineTo(c, d);
        });
        ink.stroke();
        return this.ink.createPattern(tile, 'repeat');
    }

    /** Fits the canvas to the board's window, sharp on any screen. */
    fit(width, height) {
        const dots = window.devicePixelRatio || 1;
        if (this.width !== width || this.height !== height || this.dots !== dots) {
            Object.assign(this, { width, height, dots });
            this.canvas.width = Math.round(width * dots);
            this.canvas.height = Math.round(height * dots);
            Object.assign(this.canvas.style, { width: `${width}px`, height: `${height}px` });
        }
    }

    /* left and top are how far the board is scrolled. */
    draw(board, left, top) {
        const { ink, color } = this,
            { HEAD } = BoardPaint;
        this.board = board;
        this.left = left;
        this.from = board.minuteAt(left - 40);
        this.to = board.minuteAt(left + this.width + 40);
        ink.setTransform(this.dots, 0, 0, this.dots, 0, 0);
        ink.fillStyle = color.sheet;
        ink.fillRect(0, 0, this.width, this.height);
        ink.textBaseline = 'alphabetic';
        ink.save();
        ink.translate(0, HEAD - top);
        const rows = board.rows.filter((row) => row.y + row.h + BoardPaint.LOAD > top && row.y < top + this.height);
        rows.forEach((row) => this.closed(row));
        this.grid(rows, top);
        rows.forEach((row) => this.rowBars(row));
        this.heldTime(rows);
        if (board.by === 'centre')
            board.data.centres.forEach((centre) => {
                if (centre.bottom > top && centre.top < top + this.height) this.load(centre);
            });
        ink.restore();
        this.heads();
    }

    x(minute) {
        return this.board.x(minute) - this.left;
    }

    closed(row) {
        if (!row.centre) return;
        const { ink } = this,
            open = this.board.openOf(row.centre, row.machine);
        ink.fillStyle = this.hatch;
        const begin = Math.max(0, this.x(this.board.data.from)),
            end = Math.min(this.width, this.x(this.board.data.to));
        if (end > begin) ink.fillRect(begin, row.y, end - begin, row.h);
        ink.fillStyle = this.color.sheet;
        for (let i = this.firstOpen(open, this.from); i < open.length && open[i][0] < this.to; i++)
            ink.fillRect(this.x(open[i][0]), row.y, this.x(open[i][1]) - this.x(open[i][0]), row.h);
    }

    firstOpen(open, minute) {
        let low = 0,
            high = open.length;
        while (low < high) {
            const mid = (low + high) >> 1;
            if (open[mid][1] <= minute) low = mid + 1;
            else high = mid;
        }
        return low;
    }

    line(x1, y1, x2, y2, stroke, width = 1) {
        const { ink } = this;
        ink.strokeStyle = stroke;
        ink.lineWidth = width;
        ink.beginPath();
        ink.moveTo(x1, y1);
        ink.lineTo(x2, y2);
        ink.stroke();
    }

    grid(rows, top) {
        const { data } = this.board;
        data.days.forEach((minute) => {
            if (minute < this.from || minute > this.to || (this.board.isFar() && this.board.weekday(minute) !== 1))
                return;
            const x = Math.round(this.x(minute)) + 0.5;
            this.line(x, top - 10, x, top + this.height, '#18222f70');
        });
        rows.filter((row) => row.first).forEach((row) =>
            this.line(0, row.y - 2.5, Math.min(this.width, this.x(data.to)), row.y - 2.5, this.color.line),
        );
        this.line(this.x(data.now), top - 10, this.x(data.now), top + this.height, this.color.behind, 1.5);
    }

    rowBars(row) {
        const { ink } = this,
            { ROW } = BoardPaint,
            whole = ROW - 5;
        for (const bar of this.board.byRow.get(row) || []) {
            if (bar.end < this.from || bar.start > this.to) continue;
            const h = whole / bar.parts,
                y = row.y + 2 + bar.part * h,
                x = this.x(bar.start),
                w = Math.max(1.5, this.x(bar.end) - x),
                kind = this.board.kind(bar),
                [fill, stroke, text] = this.kinds[kind];
            ink.globalAlpha = this.board.isDim(bar) ? 0.16 : 1;
            ink.fillStyle = fill;
            ink.fillRect(x, y, w, h);
            if (w < 6) {
                ink.fillStyle = stroke;
                ink.fillRect(x, y, Math.min(1, w), h);
                continue;
            }
            const setup = Math.min(w, this.x(bar.run) - x);
            if (bar.centre !== 0 && setup > 2) {
                ink.fillStyle = text === '#fff' ? '#ffffff50' : '#18222f2e';
                ink.fillRect(x, y, setup, h);
            }
            ink.strokeStyle = stroke;
            ink.lineWidth = 1;
            ink.setLineDash(kind === 'out' ? [4, 2] : []);
            ink.strokeRect(x + 0.5, y + 0.5, w - 1, h - 1);
            ink.setLineDash([]);
            if (kind.startsWith('late')) this.notch(x, y, kind === 'late' ? stroke : '#fff');
            if (bar.pinned) this.pin(x + w - 7, y - 1);
            // of a bar that begins left of the view the words stand in view
            const at = Math.max(x, 0),
                room = x + w - at - (bar.pinned ? 12 : 5);
            if (room > 22 && h > 7) {
                ink.fillStyle = text;
                ink.font = `${Math.min(12, Math.floor(h))}px Figures, sans-serif`;
                const words = this.board.words(bar).slice(0, Math.max(3, Math.floor(room / 6)));
                ink.fillText(words, at + 4, y + Math.min(14, h - 1));
            }
        }
        ink.globalAlpha = 1;
    }

    notch(x, y, fill) {
        const { ink } = this;
        ink.fillStyle = fill;
        ink.beginPath();
        ink.moveTo(x, y);
        ink.lineTo(x + 7, y);
        ink.lineTo(x, y + 7);
        ink.fill();
    }

    pin(x, y) {
        const { ink, color } = this;
        ink.fillStyle = color.soon;
        ink.strokeStyle = color.ink;
        ink.lineWidth = 1;
        ink.beginPath();
        ink.arc(x + 3, y + 3.5, 3, 0, 7);
        ink.fill();
        ink.stroke();
        this.line(x + 3, y + 6.5, x + 3, y + 13, color.ink);
    }

    heldTime(rows) {
        const { ink, color } = this,
            { ROW } = BoardPaint;
        if (this.board.by !== 'centre') return;
        this.board.data.held.forEach(([centre, machine, start, end, words]) => {
            const row = rows.find((one) => one.key === `${centre}/${machine}`);
            if (!row || end < this.from || start > this.to) return;
            const x = this.x(start),
                w = Math.max(2, this.x(end) - x);
            ink.fillStyle = '#fffdf8';
            ink.fillRect(x, row.y + 2, w, ROW - 5);
            ink.strokeStyle = color.ink2;
            ink.setLineDash([1, 3]);
            ink.strokeRect(x + 0.5, row.y + 2.5, w - 1, ROW - 6);
            ink.setLineDash([]);
            ink.fillStyle = color.ink;
            if (w > 40) ink.fillText(words.slice(0, Math.floor(w / 6)), x + 4, row.y + 16);
        });
    }

    /* Load against capacity: a day each, a week each when zoomed far out; over the line is more than there is. */
    load(centre) {
        const { ink, color } = this;
        this.board.loads(centre, this.from, this.to).forEach(({ from, to, load, capacity }) => {
            const part = capacity === 0 ? 2 : load / capacity,
                x = this.x(from) + 1,
                w = Math.max(1, this.x(to) - this.x(from) - 2),
                y = centre.loadY + 1,
                h = BoardPaint.LOAD - 4,
                over = part > 1.001;
            ink.fillStyle = over ? '#e5b99d' : '#cfd6cf';
            ink.fillRect(x, y + h - h * Math.min(1, part), w, h * Math.min(1, part));
            ink.strokeStyle = over ? color.behind : color.line;
            ink.lineWidth = 1;
            ink.strokeRect(x + 0.5, y + 0.5, w - 1, h - 1);
            if (over) {
                ink.fillStyle = color.behind;
                ink.fillRect(x, y, w, 3);
            }
            if (w > 30 && load > 0) {
                ink.fillStyle = over ? color.behind : color.ink2;
                ink.font = `${over ? '600 ' : ''}10px Figures, sans-serif`;
                const at = Math.max(x, 0);
                if (x + w - at > 30)
                    ink.fillText(
                        `${over ? '▲ ' : ''}${capacity === 0 ? 'closed' : `${Math.round(part * 100)} %`}`,
                        at + 3,
                        y + 10,
                    );
            }
        });
    }

    heads() {
        const { ink, color, board } = this,
            { HEAD } = BoardPaint,
            far = board.isFar(),
            span = board.span();
        ink.fillStyle = color.sheet;
        ink.fillRect(0, 0, this.width, HEAD);
        this.line(0, HEAD - 0.5, this.width, HEAD - 0.5, color.line);
        board.data.days.forEach((minute, i) => {
            const next = board.data.days[i + 1] ?? minute + 1440;
            if (next < this.from || minute > this.to) return;
            if (!far || board.weekday(minute) === 1) {
                const x = this.x(minute);
                this.line(Math.round(x) + 0.5, 4, Math.round(x) + 0.5, HEAD, '#18222f70');
                ink.fillStyle = color.ink;
                ink.font = '600 12px Figures, sans-serif';
                ink.fillText(board.dayNameOf(minute), Math.max(x + 4, Math.min(4, this.x(next) - 70)), 15);
            }
            if (far || span > 300) return;
            ink.fillStyle = color.ink2;
            ink.font = '10.5px Figures, sans-serif';
            ink.textAlign = 'center';
            const every = span <= 16 ? 60 : span <= 48 ? 120 : span <= 120 ? 360 : 720;
            for (let m = minute + every; m < next; m += every) ink.fillText(board.clockOf(m), this.x(m), 31);
            ink.textAlign = 'left';
        });
        const now = this.x(board.data.now);
        ink.fillStyle = color.behind;
        ink.fillRect(now, HEAD - 15, 27, 14);
        ink.fillStyle = '#fff';
        ink.font = '11px Figures, sans-serif';
        ink.fillText('now', now + 3, HEAD - 4);
    }
}
