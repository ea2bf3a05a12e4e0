<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\JobMove;
use KeepPace\Core\Scheduling\Search\People;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Search\Shop;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;

/**
 * What a walk knows of an order: places, neighbours on the work centre, times as loaded.
 *
 * @param  list<int>  $at
 * @return array{
 *     pos: array<int, int>,
 *     cp: array<int, int>,
 *     cn: array<int, int>,
 *     end: array<int, int>,
 *     out: array<int, int>,
 * }
 */
function walked(Net $net, array $at): array
{
    $schedule = Loading::load($net, $at);
    $state = [
        'pos' => array_flip($at),
        'cp' => array_fill(0, $net->count, -1),
        'cn' => array_fill(0, $net->count, -1),
        'end' => [],
        'out' => [],
    ];
    $last = [];
    foreach ($at as $x) {
        $state['end'][$x] = $schedule->steps[$net->step[$x]->id]->end - $net->origin;
        $state['out'][$x] = $net->out($x, $state['end'][$x]);
        if (($c = $net->centre[$x]) >= 0) {
            if (isset($last[$c])) {
                $state['cp'][$x] = $last[$c];
                $state['cn'][$last[$c]] = $x;
            }
            $last[$c] = $x;
        }
    }

    return $state;
}

/**
 * @param  list<int>  $at
 * @param  array{int, list<int>, array<int, true>}  $stretch
 * @return list<int>
 */
function replaced(array $at, array $stretch): array
{
    array_splice($at, $stretch[0], count($stretch[1]), $stretch[1]);

    return $at;
}

it('rushes and gives up a job on all its work centres at once', function () {
    // two jobs of three steps over the same three machines, an hour each; worked out by hand
    $centres = array_fill_keys([1, 2, 3], new WorkCentre('Bench', 1, OpenWindows::of([[0, 5000]], [], 0, 5000)));
    $job = fn (int $id): Job => new Job(
        $id,
        "job {$id}",
        1,
        0,
        array_map(fn (int $n): Step => new Step(10 * $id + $n, $n, 60), [1, 2, 3]),
    );
    $net = Net::of(new Problem(0, $centres, [$job(0), $job(1)]));
    $move = new JobMove($net);
    $at = [0, 1, 2, 3, 4, 5]; // the first job whole, then the second
    ['pos' => $pos, 'cp' => $cp, 'cn' => $cn, 'end' => $end, 'out' => $out] = walked($net, $at);
    expect($net->outFrom(0, 30, $net->centre[0], $net->work[0]))->toBe(90);
    $names = fn (?array $stretch): array => array_map(
        fn (int $x): int => $net->step[$x]->id,
        replaced($at, $stretch ?? [0, [], []]),
    );
    $fixed = array_fill(0, 6, false);
    $rushed = $names($move->rush(3, $net->centre, $net->work, $at, $pos, $cp, $end, $out, $fixed, [], 0));
    // ready at 0, 60 and 120, which is when the other's steps would begin: ahead of it everywhere
    expect($rushed)->toBe([11, 1, 12, 2, 13, 3]);
    $given = $names($move->yield(0, 3, $net->centre, $net->work, $at, $pos, $cn, $end, $out, []));
    // behind the other's first step, which ends at 120; so ready at 180 and 240, behind what begins before that
    expect($given)->toBe([11, 1, 12, 2, 13, 3]);
});

it('loses no step, keeps what must come before and passes nothing fixed, on random shops', function () {
    mt_srand(2003);
    $moves = 0;
    for ($round = 0; $round < 150; $round++) {
        $problem = Checker::random();
        $net = Net::of($problem);
        if ($net->count < 3 || $net->unplaced !== []) {
            continue;
        }
        $move = new JobMove($net);
        $at = Dispatch::order($net, Rule::DueDate);
        ['pos' => $pos, 'cp' => $cp, 'cn' => $cn, 'end' => $end, 'out' => $out] = walked($net, $at);
        $fixed = array_fill(0, $net->count, false);
        foreach (array_slice($at, 0, mt_rand(0, 2)) as $x) {
            $fixed[$x] = true;
        }
        foreach ($at as $v) {
            if ($cp[$v] < 0 || $fixed[$v] || $fixed[$cp[$v]]) {
                continue;
            }
            foreach (
                [
                    $move->rush($v, $net->centre, $net->work, $at, $pos, $cp, $end, $out, $fixed, [], mt_rand(0, 7)),
                    $move->yield($cp[$v], $v, $net->centre, $net->work, $at, $pos, $cn, $end, $out, []),
                ] as $stretch
            ) {
                if ($stretch === null) {
                    continue;
                }
                $moves++;
                $new = replaced($at, $stretch);
                // what is not named as moved keeps its order
                $stays = fn (int $x): bool => ! isset($stretch[2][$x]);
                expect(array_values(array_filter($new, $stays)))->toBe(array_values(array_filter($at, $stays)));
                $place = array_flip($new);
                expect(array_count_values($new))->toEqual(array_count_values($at));
                foreach ($net->before as $x => $before) {
                    foreach ($before as $y) {
                        expect($place[$y])->toBeLessThan($place[$x]);
                    }
                }
                foreach (array_keys(array_filter($fixed)) as $x) {
                    expect($place[$x])->toBe($pos[$x]);
                }
            }
        }
    }
    expect($moves)->toBeGreaterThan(300);
});

/**
 * An order put into the first gap where it keeps nobody: one saw, one lathe, people for both.
 *
 * @param  int  $helpMinutes  how long the lathe has somebody from 0 on
 * @return list<int>|null the orders in their new sequence; null = there is no gap
 */
function slippedIn(int $persons, int $helpMinutes): ?array
{
    $open = OpenWindows::of([[0, 5000]], [], 0, 5000);
    $centre = fn (string $name): WorkCentre => new WorkCentre($name, 1, $open);
    $one = new Crewing(1, 0, 1);
    $job = fn (int $id, Step $step): Job => new Job($id, "job {$id}", 1, 0, [$step]);
    $net = Net::of(new Problem(
        0,
        [1 => $centre('Saw'), 2 => $centre('Lathe')],
        [
            $job(1, new Step(1, 2, $helpMinutes, crewing: $one)),
            $job(2, new Step(2, 1, 50, materialAt: 100, crewing: $one)),
            $job(3, new Step(3, 1, 40, crewing: $one)),
        ],
        [1 => new Crew('Both', array_fill(0, $persons, new Person('somebody', $open)))],
    ));
    $people = new People($net, new Shop($net));
    $at = [0, 1, 2];
    $pos = array_flip($at);
    ['cp' => $cp, 'cn' => $cn] = walked($net, $at);
    $free = $set = array_fill(0, 3, -1);
    $end = [];
    foreach ($at as $x) {
        $spot = $people->place($x, 0, $net->release[$x], null, -1, $cp[$x], $cp, $free, $set, 1, $pos, $pos[$x]);
        $people->stands($x, $spot);
        $free[$x] = $end[$x] = $spot->end;
    }
    expect($end[2])->toBe(190);
    $stretch = (new JobMove($net, $people))->slip(2, $net->centre, $at, $pos, $cp, $cn, $end, $end,
        array_fill(0, 3, false), [], $free, $set, 1);
    // as it was before: it only asked
    expect($people->spots[2]->end)->toBe(190);

    return $stretch === null ? null : array_map(
        fn (int $x): int => $net->step[$x]->id,
        replaced($at, $stretch),
    );
}

it('slips a job into a gap of its machine, if there are people for it there', function () {
    // the saw stands until 100, when the material of the second comes; the third takes 40 minutes of that
    expect(slippedIn(2, 80))->toBe([1, 3, 2])
        // one for both: the lathe has them until 50, 40 to 100 are left
        ->and(slippedIn(1, 50))->toBe([1, 3, 2])
        // until 80: 20 are too few
        ->and(slippedIn(1, 80))->toBeNull();
});
