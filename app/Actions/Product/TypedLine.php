<?php

namespace App\Actions\Product;

use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\LineBasis;

/** A line of a structure as it was typed. */
final readonly class TypedLine
{
    /**
     * @param  int|null  $id  of the line it was; null = it is new
     * @param  string  $quantity  in the unit
     * @param  string  $unit  code; '' = the component's stock unit
     */
    public function __construct(
        public ?int $id,
        public string $component,
        public string $quantity,
        public string $unit = '',
        public LineBasis $basis = LineBasis::PerUnit,
        public string $scrap = '0',
        public ?int $step = null,
        public string $designators = '',
        public IssueBy $issueBy = IssueBy::Hand,
        public string $suppliedBy = 'us',
    ) {
    }
}
