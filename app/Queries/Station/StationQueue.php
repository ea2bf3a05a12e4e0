<?php

namespace App\Queries\Station;

use App\Models\Attachable;
use App\Models\AttachmentKind;
use App\Queries\Files\HangingFile;
use App\Reading\Cut;
use App\Shop\ShopState;
use App\Shop\WorkCentreHours;
use App\Wording\Figures;
use Illuminate\Support\Collection;
use KeepPace\Core\Routing\Spell;

/** What a work centre does next: the jobs that stand there, and what is on the way, in the plan's order. */
final readonly class StationQueue
{
    /** So many steps of a work centre are read. */
    private const SHOWN = 60;

    private const COMING = 12;

    /**
     * @param  Cut<StationJob>  $all
     * @param  Collection<int, StationJob>  $here
     * @param  Collection<int, StationJob>  $coming  the next of those on the way
     * @param  array<int, int>  $clocks  minutes a count would book now, by job whose clock runs
     * @param  Collection<int, HangingFile>  $drawings  and instructions, of what stands here
     */
    private function __construct(
        public Cut $all,
        public Collection $here,
        public Collection $coming,
        public int $onTheWay,
        private array $clocks,
        private Collection $drawings,
    ) {
    }

    public static function at(int $workCentre): self
    {
        $steps = StationSteps::at($workCentre)
            ->orderByRaw('s.started_at IS NULL, p.start_at IS NULL, p.start_at, p.machine, s.id');
        $all = Cut::read($steps, self::SHOWN, StationJob::from(...));
        [$here, $others] = $all->rows->partition(fn (StationJob $job): bool => $job->isHere());
        $coming = $others->filter(fn (StationJob $job): bool => $job->planned !== null)->values();

        return new self(
            $all,
            $here->values(),
            $coming->take(self::COMING),
            $coming->count(),
            self::clocks($all->rows, $workCentre),
            HangingFile::onAll(
                Attachable::Item,
                $here->flatMap(fn (StationJob $job): array => [$job->itemId, $job->madeByItem])->unique(),
                [AttachmentKind::Drawing, AttachmentKind::Instruction],
            ),
        );
    }

    /** "2 jobs stand here, 3 on the way." */
    public function says(): string
    {
        $here = $this->here->count();

        return Figures::count($here, 'job').($here === 1 ? ' stands' : ' stand')." here, {$this->onTheWay} on the way.";
    }

    /** "On the way, the next 12 of 40" */
    public function comingSays(): string
    {
        $count = $this->coming->count();

        return $count < $this->onTheWay ? "On the way, the next {$count} of {$this->onTheWay}" : 'On the way';
    }

    /** @return Collection<int, HangingFile> drawings of what the job makes, and instructions of its step */
    public function drawings(StationJob $job): Collection
    {
        return $this->drawings->filter(fn (HangingFile $file): bool => $file->kind === AttachmentKind::Drawing
            ? $file->recordId === $job->itemId
            : $file->isFor($job->madeByItem, $job->madeByStep));
    }

    /** Minutes a count of the job would book now; null where no clock runs. */
    public function clock(StationJob $job): ?int
    {
        return $this->clocks[$job->id] ?? null;
    }

    /**
     * @param  Collection<int, StationJob>  $jobs
     * @return array<int, int>
     */
    private static function clocks(Collection $jobs, int $workCentre): array
    {
        $begun = [];
        foreach ($jobs as $job) {
            if ($job->spellFrom !== null && $job->workCentre === $workCentre) {
                $begun[$job->id] = ShopState::minute($job->spellFrom);
            }
        }
        if ($begun === []) {
            return [];
        }
        $now = ShopState::minute(now());
        $open = WorkCentreHours::between($workCentre, min($begun), $now);
        $jobs = $jobs->keyBy('id');

        return collect($begun)
            ->map(fn (int $from, int $id): int => (new Spell($open, $from, $now))->machine($jobs[$id]->isUnattended))
            ->all();
    }
}
