<?php

namespace App\Actions\Product;

use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

/** A line of a structure that comes back, as it was typed. */
final readonly class TypedBack
{
    /**
     * @param  int|null  $id  of the line it was; null = it is new
     * @param  string  $quantity  in the unit
     * @param  string  $unit  code; '' = the stock unit
     * @param  string|null  $share  per cent, or euros a stock unit; null = what the item costs
     */
    public function __construct(
        public ?int $id,
        public string $component,
        public string $quantity,
        public OutputKind $kind = OutputKind::ByProduct,
        public ShareRule $rule = ShareRule::SetValue,
        public ?string $share = null,
        public string $unit = '',
        public LineBasis $basis = LineBasis::PerUnit,
    ) {
    }
}
