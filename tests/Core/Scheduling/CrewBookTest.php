<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\CrewBook;
use KeepPace\Core\Scheduling\Loading\CrewUse;
use KeepPace\Core\Scheduling\Loading\Presence;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/* How many of a crew are free, against a count of every minute. */

/** @return list<Person> */
function peopleAtOddHours(int $number): array
{
    $people = [];
    for ($n = 0; $n < $number; $n++) {
        $spans = [];
        for ($at = mt_rand(0, 50); $at < 1000; $at += mt_rand(20, 120)) {
            $spans[] = [$at, $at += mt_rand(20, 200)];
        }
        $people[] = new Person("p{$n}", OpenWindows::of($spans, [], 0, 1000));
    }

    return $people;
}

it('counts somebody who is at a step that asks for what nobody is qualified for', function () {
    $one = new Person('one', OpenWindows::of([[0, 480]], [], 0, 480));
    $book = new CrewBook(new Presence(new Crew('c', [$one]), 0));
    $book->take(CrewUse::of(60, 120, 1), 'welding'); // it runs already, whatever the plan thinks of it
    expect($book->lackingUntil(60, 180, 1, null))->toBe(120)
        ->and($book->lackingUntil(120, 180, 1, null))->toBe(-1);
});

it('says until when too few are free, whatever was taken before', function (int $seed) {
    mt_srand($seed);
    $people = peopleAtOddHours(mt_rand(1, 4));
    $book = new CrewBook(new Presence(new Crew('c', $people), 0));
    $free = array_map(
        fn (int $minute): int => count(array_filter($people, fn (Person $one): bool => $one->present->isOpen($minute))),
        range(0, 1100),
    );
    for ($i = 0; $i < 60; $i++) {
        $from = mt_rand(0, 900);
        $to = $from + mt_rand(1, 150);
        $number = mt_rand(1, 3);
        $lacking = null;
        for ($minute = $from; $minute < $to && $lacking === null; $minute++) {
            $lacking = $free[$minute] < $number ? $minute : null;
        }
        while ($lacking !== null && $lacking < $to && $free[$lacking] < $number) {
            $lacking++;
        }
        $said = $book->lackingUntil($from, $to, $number, null);
        expect($said)->toBe($lacking ?? -1);
        if ($said === -1) {
            $book->take(CrewUse::of($from, $to, $number), null);
            for ($minute = $from; $minute < $to; $minute++) {
                $free[$minute] -= $number;
            }
        }
    }
})->with(range(1, 25));

it('uses no more machines than people, unless one is pinned or down', function () {
    $open = OpenWindows::of([[0, 100_000]], [], 0, 100_000);
    $two = [
        new Person('a', OpenWindows::of([[0, 50_000]], [], 0, 100_000)),
        new Person('b', OpenWindows::of([[600, 90_000]], [], 0, 100_000)),
    ];
    $jobs = array_map(
        fn (int $id): Job => new Job($id, "J{$id}", 1, null, [new Step($id, 1, 300, crewing: new Crewing(1, 1, 1))]),
        range(1, 30),
    );
    $machines = function (array $own) use ($open, $two, $jobs): array {
        $problem = new Problem(0, [1 => new WorkCentre('W', 9, $open, $own)], $jobs, [1 => new Crew('c', $two)]);

        return array_values(array_unique(array_map(
            fn (PlannedStep $at): ?int => $at->machine,
            ForwardLoading::load($problem)->steps,
        )));
    };
    expect($machines([]))->toEqualCanonicalizing([1, 2])
        ->and($machines([1 => OpenWindows::of([], [], 0, 1)]))->toEqualCanonicalizing([2, 3]);
});
