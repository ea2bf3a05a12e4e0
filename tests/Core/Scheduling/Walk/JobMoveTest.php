<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\Facts;
use KeepPace\Core\Scheduling\Walk\JobMove;
use KeepPace\Core\Scheduling\Walk\Line;
use KeepPace\Core\Scheduling\Walk\People;
use KeepPace\Core\Scheduling\Walk\Shop;
use KeepPace\Core\Scheduling\Walk\Stands;
use KeepPace\Core\Scheduling\Walk\Stretch;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\Checker;
use Tests\Core\Scheduling\Walk\Lines;

it('rushes and gives up a job on all its work centres at once', function () {
    // two jobs of three steps over the same three machines, an hour each; worked out by hand
    $net = Lines::hours([1, 2, 3], [1, 2, 3]);
    $move = new JobMove(Lines::facts($net));
    $at = [0, 1, 2, 3, 4, 5]; // the first job whole, then the second
    $line = Lines::of($net, $at);
    expect($net->outFrom(0, 30, $net->centre[0], $net->work[0]))->toBe(90);
    $names = fn (?Stretch $stretch): array => $stretch === null ? $at : Lines::replaced($at, $stretch);
    // ready at 0, 60 and 120, which is when the other's steps would begin: ahead of it everywhere
    expect($names($move->rush($line, 3, 0)))->toBe([3, 0, 4, 1, 5, 2]);
    // behind the other's first step, which ends at 120; so ready at 180 and 240, behind what begins before that
    expect($names($move->yield($line, 0, 3)))->toBe([3, 0, 4, 1, 5, 2]);
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
        $at = Dispatch::order($net, Rule::DueDate);
        $line = Lines::of($net, $at);
        $fixed = array_slice($at, 0, mt_rand(0, 2));
        $move = new JobMove(Lines::facts($net, ...$fixed));
        foreach ($at as $v) {
            $y = $line->prior[$v];
            if ($y < 0 || in_array($v, $fixed, true) || in_array($y, $fixed, true)) {
                continue;
            }
            foreach ([$move->rush($line, $v, mt_rand(0, 7)), $move->yield($line, $y, $v)] as $stretch) {
                if ($stretch === null) {
                    continue;
                }
                $moves++;
                expect(Lines::faults($net, $at, $stretch))->toBe([]);
                $place = array_flip(Lines::replaced($at, $stretch));
                foreach ($fixed as $x) {
                    expect($place[$x])->toBe($line->pos[$x]);
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
    $shop = new Shop($net);
    $people = new People($net, $shop);
    $at = [0, 1, 2];
    $pos = array_flip($at);
    $prior = Lines::of($net, $at)->prior;
    $behind = Lines::of($net, $at)->behind;
    $free = $set = $end = array_fill(0, 3, -1);
    foreach ($at as $x) {
        $spot = $people->place($x, 0, $net->release[$x], null, -1, $prior[$x], $prior, $free, $set, 1, $pos, $pos[$x]);
        $people->standing->stands($x, $spot);
        $free[$x] = $end[$x] = $spot->end;
    }
    expect($end[2])->toBe(190);
    $stretch = (new JobMove(new Facts($net, $shop, new Stands), $people))->slip(
        new Line($at, $pos, $prior, $behind, [], $net->centre, $net->work, $end, $end, $free, $set, 1),
        2,
    );
    // as it was before: it only asked
    expect($people->standing->spots[2]->end)->toBe(190);

    return $stretch === null ? null : array_map(
        fn (int $x): int => $net->step[$x]->id,
        Lines::replaced($at, $stretch),
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
