<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/** A line of a structure that comes out of its orders beside the product: a co-product, a by-product, a part. */
final readonly class ComesBack
{
    /**
     * @param  string  $id  the line's own key
     * @param  BigRational  $quantity  above 0, in the stock unit, for a piece or for the order
     * @param  BigDecimal  $share  euros a stock unit by value and at a set value; per cent by percent; else 0
     */
    public function __construct(
        public string $id,
        public string $item,
        public OutputKind $kind,
        public BigRational $quantity,
        public LineBasis $basis,
        public ShareRule $rule,
        public BigDecimal $share,
    ) {
    }

    /** What comes of it for so many pieces, before rounding. */
    public function for(BigRational $pieces): BigRational
    {
        return $this->takes()->for($pieces);
    }

    public function takes(): Takes
    {
        return new Takes($this->quantity, $this->basis);
    }

    /** It comes back as the same, and carries cost alike. */
    private function isLike(self $other): bool
    {
        return [$this->kind, $this->rule] === [$other->kind, $other->rule] && $this->share->isEqualTo($other->share);
    }

    /**
     * What is wrong with lines that come back together, each said at its own.
     *
     * @template K of array-key
     *
     * @param  array<K, self>  $lines
     * @return array<K, array{string, string}> the field and a sentence, by line
     */
    public static function wrong(array $lines): array
    {
        $wrong = $percent = $first = [];
        $rule = null;
        foreach ($lines as $key => $line) {
            $isJoint = $line->kind === OutputKind::CoProduct;
            $same = $first[$line->item] ??= $line;
            $rule ??= $isJoint ? $line->rule : null;
            $percent[] = $isJoint && $line->rule === ShareRule::Percent ? $line->share : BigDecimal::zero();
            $says = match (true) {
                $isJoint && $line->rule === ShareRule::SetValue => [
                    'share_rule',
                    'A co-product shares the cost by value, by pieces or by per cent.',
                ],
                ! $isJoint && $line->rule !== ShareRule::SetValue => [
                    'share_rule',
                    'What is left over or taken out goes at a set value.',
                ],
                $isJoint && $line->rule !== $rule => ['share_rule', 'All co-products share the cost by one rule.'],
                ! $line->isLike($same) => [
                    'component',
                    "{$line->item} comes back already, as something else. Say the same of both.",
                ],
                BigDecimal::sum(...$percent)->isGreaterThanOrEqualTo(100) => [
                    'share',
                    'Together they take 100 per cent or more: nothing is left for the product.',
                ],
                default => null,
            };
            $says === null ?: $wrong[$key] = $says;
        }

        return $wrong;
    }
}
