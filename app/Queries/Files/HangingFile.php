<?php

namespace App\Queries\Files;

use App\Files\FileType;
use App\Models\Attachable;
use App\Models\AttachmentKind;
use App\Reading\Row;
use App\Wording\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A file that hangs on something. */
final readonly class HangingFile
{
    private function __construct(
        public int $id,
        public int $recordId,
        public AttachmentKind $kind,
        public string $name,
        public FileType $type,
        private int $bytes,
        public ?int $width,
        public ?int $height,
        public string $since,
        public ?int $step,
    ) {
    }

    /** @return Collection<int, self> on one record, pictures first */
    public static function on(Attachable $on, int $id): Collection
    {
        return self::onAll($on, [$id]);
    }

    /**
     * @param  iterable<array-key, int>  $ids
     * @param  list<AttachmentKind>  $kinds  none = any
     * @return Collection<int, self> on any of these, pictures first
     */
    public static function onAll(Attachable $on, iterable $ids, array $kinds = []): Collection
    {
        $files = DB::table('attachments AS a')
            ->join('files AS f', 'f.id', 'a.file_id')
            ->join('bookings AS b', 'b.id', 'a.booking_id')
            ->whereIn("a.{$on->key()}", collect($ids))
            ->whereNull('a.taken_off_id')
            ->when($kinds !== [], fn (Builder $query) => $query->whereIn('a.kind', array_column($kinds, 'value')))
            ->orderBy('a.kind')
            ->orderBy('a.step_number')
            ->orderBy('a.id')
            ->select(['a.id', "a.{$on->key()} AS record_id", 'a.kind', 'a.name', 'f.type', 'f.bytes'])
            ->addSelect(['f.width', 'f.height', 'b.entered_at', 'a.step_number']);

        return Row::all($files, fn (Row $row): self => new self(
            $row->int('id'),
            $row->int('record_id'),
            $row->enum('kind', AttachmentKind::class),
            $row->text('name'),
            $row->enum('type', FileType::class),
            $row->int('bytes'),
            $row->intOrNull('width'),
            $row->intOrNull('height'),
            When::say($row->text('entered_at')),
            $row->intOrNull('step_number'),
        ));
    }

    public function isShown(): bool
    {
        return $this->kind === AttachmentKind::Picture;
    }

    /** A picture that shows how something is done. */
    public function isThumb(): bool
    {
        return $this->kind === AttachmentKind::Instruction && $this->type->isPicture();
    }

    /** It belongs to a step of its item, or to all of them. */
    public function isFor(int $item, int $step): bool
    {
        return $this->recordId === $item && ($this->step === null || $this->step === $step);
    }

    /** "instruction of step 20" */
    public function what(): string
    {
        return $this->kind->label().($this->step === null ? '' : " of step {$this->step}");
    }

    /** "pdf, 340 kB" */
    public function says(): string
    {
        $size = $this->bytes >= 1_000_000
            ? round($this->bytes / 1_000_000, 1).' MB'
            : max(1, intdiv($this->bytes, 1000)).' kB';

        return "{$this->type->value}, {$size}";
    }
}
