/* Others bring the plan up to date: it is said, and shown when asked for or when nobody is at work here. */
(() => {
    let asked = null;
    let last = Date.now();
    ['pointermove', 'keydown'].forEach((name) =>
        document.addEventListener(name, () => {
            last = Date.now();
        }),
    );
    document.addEventListener('plan-moved', (event) => {
        const { board } = window;
        if (!board?.root.isConnected || asked === event.detail.plan) return;
        asked = event.detail.plan;
        fetch(`${board.root.dataset.news}?plan=${board.data.plan.id}`, {
            headers: { Accept: 'application/json', 'X-Plan': '1' },
        })
            .then((reply) => (reply.ok ? reply.json() : null))
            .then((news) => {
                if (!news || news.stamp === board.data.plan.stamp) return;
                if (!board.selected && Date.now() - last > 20000) {
                    board.refresh();
                    document.querySelector('#board-when').textContent = news.when;
                    return;
                }
                const box = document.querySelector('#board-news');
                const show = '<button class="btn btn-quiet btn-small">Show it</button>';
                box.innerHTML = `<span>${BoardMarks.escaped(news.when)}</span> ${show}`;
                box.querySelector('button').addEventListener('click', () => {
                    document.querySelector('#board-when').textContent = news.when;
                    board.refresh();
                });
            })
            .catch(() => {
                asked = null; // again with the next look
            });
    });
})();
