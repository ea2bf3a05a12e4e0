<?php

namespace App\Actions\Schedule;

use App\Reading\Row;

/**
 * A deed on a plan, as its undo finds it.
 *
 * @phpstan-import-type Fact from Facts
 */
final readonly class PlanDeed
{
    /**
     * @param  string  $before  where steps and pins stood, packed (`Arrangement`)
     * @param  string  $after  where they stood when it was undone; '' = it was not
     * @param  list<Fact>  $facts
     */
    private function __construct(
        public int $id,
        public string $before,
        public string $after,
        public array $facts,
        public string $says,
    ) {
    }

    public static function from(Row $row): self
    {
        /** @var list<Fact> $facts written by the deed itself */
        $facts = json_decode($row->text('facts'), true, flags: JSON_THROW_ON_ERROR);

        return new self(
            $row->int('id'),
            $row->textOrNull('before') ?? '',
            $row->textOrNull('after') ?? '',
            $facts,
            $row->text('says'),
        );
    }
}
