<?php

namespace App\Shop;

use App\Models\Order;
use App\Models\WorkCentre;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Wording\Figures;
use App\Wording\When;
use Carbon\CarbonImmutable;
use KeepPace\Core\Scheduling\Lever\LeverEffect;
use KeepPace\Core\Scheduling\Lever\LeverTrials;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/**
 * What could be done about a late order, each tried on the shop as it is: same seed, same iterations with and without.
 */
final class LeverOffers
{
    private const SEED = 1;

    /** Where a move asks the rules of loading for each operation it takes longer: fewer are tried. */
    private const ITERATIONS = ['plain' => 2000, 'asked' => 60];

    /**
     * @param  null|\Closure(list<LeverOffer>): mixed  $heard  hears after each lever what was tried so far, best first
     * @return list<LeverOffer> best first
     */
    public static function of(int $order, ?\Closure $heard = null): array
    {
        $standing = StandingPlan::of();
        $problem = $standing->problem();
        $trials = self::trials($standing, $order);
        $due = self::due($problem, $order);
        $offers = [];
        foreach (self::wanted($standing, $problem, $order) as $lever) {
            $offer = LeverOffer::of($lever, self::effect($standing, $trials, $lever));
            // material is had otherwise only where that helps the order
            $lever->kind === LeverKind::Material && ! $offer->isSooner() ?: $offers[] = $offer;
            usort($offers, fn (LeverOffer $a, LeverOffer $b): int => $a->place($due) <=> $b->place($due));
            $heard === null ?: $heard($offers);
        }

        return $offers;
    }

    /** @return \Generator<PlanLever> those of time first: those of material are worked out when they are asked for */
    private static function wanted(StandingPlan $standing, Problem $problem, int $order): \Generator
    {
        yield from self::levers($standing, $problem, $order);
        yield from (new MaterialLevers($standing, $problem, $order))->all();
    }

    /** What levers of an order are tried on. */
    public static function trials(StandingPlan $standing, int $order): LeverTrials
    {
        $problem = $standing->problem();
        $iterations = self::ITERATIONS[Net::of($problem)->asked === [] ? 'plain' : 'asked'];

        return new LeverTrials($problem, $standing->steps(), $order, self::SEED, $iterations);
    }

    public static function effect(StandingPlan $standing, LeverTrials $trials, PlanLever $lever): LeverEffect
    {
        // a higher rank takes parts as well as machines
        $with = $lever->kind === LeverKind::Rank
            ? $standing->problemIfFirst($lever->order)
            : $standing->problem();

        return $trials->with($lever->on($with));
    }

    /** @return list<PlanLever> */
    private static function levers(StandingPlan $standing, Problem $problem, int $order): array
    {
        $own = Order::query()->findOrFail($order);
        $number = $own->number;
        $bottleneck = (new WhyLate($standing))->bottleneck($order);
        $levers = $bottleneck === null ? [] : self::atBottleneck($problem, ...$bottleneck);
        foreach ($problem->jobs as $job) {
            if ($job->id !== $order) {
                continue;
            }
            array_push($levers, ...StepLevers::of($problem, $own)->all($job, $bottleneck[0] ?? null));
            if (count(array_filter($job->steps, fn (Step $step): bool => $step->workCentre !== null)) > 1) {
                $levers[] = new PlanLever(
                    LeverKind::Split,
                    "Pass the first half of {$number} on while the second is worked on",
                    order: $order,
                );
            }
        }
        $levers[] = new PlanLever(LeverKind::Rank, "Put {$number} before all other orders", order: $order);

        return $levers;
    }

    /**
     * More hours and more machines, where most time is lost.
     *
     * @param  int  $lost  minute it is lost at
     * @return list<PlanLever>
     */
    private static function atBottleneck(Problem $problem, int $centreId, int $lost): array
    {
        $centre = WorkCentre::query()->findOrFail($centreId);
        // hours help where the time is lost, and a little before: what stands in the way is done sooner
        $from = max($problem->now, $lost - 2 * 1440);

        return [
            ...self::longerEvenings($problem, $centre, $from),
            ...self::onSaturday($problem, $centre, $from),
            new PlanLever(LeverKind::Machine, "One machine more at {$centre->name}", centre: $centreId),
        ];
    }

    /** @return list<PlanLever> as many hours as the shop allows, or the work centre for itself */
    private static function longerEvenings(Problem $problem, WorkCentre $centre, int $from): array
    {
        $hours = $centre->overtime_hours ?? Settings::whole(Setting::OvertimeHours);
        $evenings = $hours === 0 ? [] : self::evenings($problem, $centre->id, $from, $hours);
        if ($evenings === []) {
            return [];
        }
        $days = Figures::count(count($evenings), 'day').' from '
            .CarbonImmutable::parse($evenings[0][0])->format('D j M');

        $says = Figures::count($hours, 'hour')." longer at {$centre->name}, {$days}";

        return [new PlanLever(LeverKind::Overtime, $says, centre: $centre->id, spans: $evenings)];
    }

    /** @return list<PlanLever> */
    private static function onSaturday(Problem $problem, WorkCentre $centre, int $from): array
    {
        $saturday = $centre->no_saturdays ? null : self::saturday($problem, $centre->id, $from);

        if ($saturday === null) {
            return [];
        }
        $says = "A shift at {$centre->name} on "
            .CarbonImmutable::parse($saturday[0])->format('D j M')
            .", {$saturday[1]} to {$saturday[2]}";

        return [new PlanLever(LeverKind::Overtime, $says, centre: $centre->id, spans: [$saturday])];
    }

    private static function due(Problem $problem, int $order): int
    {
        foreach ($problem->jobs as $job) {
            if ($job->id === $order) {
                return $job->due ?? 0;
            }
        }

        return 0;
    }

    /**
     * @return list<array{string, string, string}> some hours behind the last open time of each of five working days,
     *     from a minute on
     */
    private static function evenings(Problem $problem, int $centre, int $from, int $hours): array
    {
        $open = $problem->workCentres[$centre]->open;
        $last = [];
        foreach ($open->ends as $end) {
            if ($end > $from) {
                $at = When::local($end);
                $last[$at->format('Y-m-d')] = $at;
            }
            if (count($last) > 5) {
                break;
            }
        }
        $spans = [];
        foreach (array_slice($last, 0, 5, true) as $date => $at) {
            if ($at->hour < 24 - $hours && $at->hour > 0 && ! $open->isOpen(intdiv($at->getTimestamp(), 60) + 60)) {
                $spans[] = [$date, $at->format('H:i'), $at->addHours($hours)->format('H:i')];
            }
        }

        return $spans;
    }

    /** @return array{string, string, string}|null */
    private static function saturday(Problem $problem, int $centre, int $from): ?array
    {
        $day = When::local($from)->next(CarbonImmutable::SATURDAY)->startOfDay();
        $from = intdiv($day->getTimestamp(), 60);

        return $problem->workCentres[$centre]->open->minutesBetween($from, $from + 1440) > 0
            ? null
            : [
                $day->format('Y-m-d'),
                Settings::text(Setting::SaturdayFrom),
                Settings::text(Setting::SaturdayTo),
            ];
    }
}
