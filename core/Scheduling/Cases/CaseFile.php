<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Cases;

use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * The formats "calendar-job-shop-1" and "-2": orders run through routings over work centres that keep weekly shifts; in
 * the second with other ways, people, changeovers, transfer batches, pins and batch machines. Where its rules are
 * stricter than a shop's they are kept: a setup waits for its pieces.
 */
final readonly class CaseFile
{
    private const FORMATS = ['calendar-job-shop-1', 'calendar-job-shop-2'];

    private function __construct(
        private string $name,
        public Problem $problem,
        private CaseShop $shop,
        private CaseOrders $orders,
    ) {
    }

    /** @throws Refused naming what is not as it should be */
    public static function read(string $text): self
    {
        $case = json_decode($text, true);
        if (! is_array($case) || ! in_array($case['format'] ?? null, self::FORMATS, true)) {
            throw Refused::because('The file is not of the format '.implode(' or ', self::FORMATS).'.');
        }
        $fields = new CaseFields($case, 'The case');
        $shop = new CaseShop($fields, CaseShop::weeks($fields) * ($case['format'] === self::FORMATS[1] ? 2 : 1));
        $orders = new CaseOrders($fields, $shop);

        return new self(
            $fields->textOrNull('name') ?? '',
            new Problem(0, $shop->workCentres, $orders->jobs, $shop->crews),
            $shop,
            $orders,
        );
    }

    /** @param  array{int, int}  $objective  weighted tardiness and the sum of completions */
    public function write(Schedule $schedule, array $objective): string
    {
        $names = array_flip($this->shop->centres);
        $operations = [];
        foreach ($schedule->steps as $id => $at) {
            $step = $this->orders->steps[$id];
            $operation = [
                'order' => $step['order'],
                'op' => $step['op'],
                'work_centre' => $at->workCentre === null ? $step['work_centre'] : $names[$at->workCentre],
                'machine' => $at->machine,
                'start' => $at->start,
                'end' => $at->end,
            ];
            $operations[] = json_encode(array_filter($operation, static fn ($value): bool => $value !== null));
        }

        return '{"instance": '
            .json_encode($this->name)
            .",\n\"objective\": {\"total_weighted_tardiness\": {$objective[0]}, "
            ."\"sum_completion\": {$objective[1]}},\n\"operations\": [\n"
            .implode(",\n", $operations)
            ."\n]}\n";
    }
}
