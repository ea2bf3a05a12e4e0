<?php

namespace App\Actions\Apart;

use App\Actions\Orders\OutputReceipt;
use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderOutput;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\Apart;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\Grade;
use KeepPace\Core\Stock\ScrapClass;

/**
 * Parts that were taken out, on their way into stock or to scrap.
 *
 * @phpstan-type ApartReceipt array{
 *     output: OrderOutput, amount: BigDecimal, typed: TypedApartPart, into: OutputReceipt|null
 * }
 */
final readonly class ApartReceipts
{
    /**
     * @param  list<ApartReceipt>  $parts
     */
    public function __construct(private Ledger $ledger, private Order $order, private array $parts)
    {
    }

    /**
     * @param  int  $value  cents, of the unit and the work
     * @return int cents that left the order
     */
    public function book(int $value): int
    {
        $percents = array_map(fn (array $part): BigDecimal => BigDecimal::of($part['typed']->percent), $this->parts);
        $given = 0;
        foreach (Apart::shares($value, $percents) as $at => $cents) {
            $part = $this->parts[$at];
            $given += $part['into'] === null
                ? $this->scrap($part['output'], $part['amount'], $cents)
                : $part['into']->book($cents);
        }

        return $given;
    }

    /** "1 pc GBOX-1 Gearbox good: free, 1 pc MOT-120 Drive motor scrap" */
    public function says(): string
    {
        return implode(', ', array_map(fn (array $part): string => Amount::plain($part['amount'])
            ." {$part['output']->item->unit->code} {$part['output']->item->label()} "
            .match ($part['typed']->grade) {
                Grade::Good => 'good',
                Grade::Rework => 'to rework',
                Grade::Scrap => 'scrap',
            }, $this->parts));
    }

    /** It takes its share along: it does not make the others dearer. */
    private function scrap(OrderOutput $output, BigDecimal $amount, int $cents): int
    {
        $this->ledger->moves->move(
            $output->item,
            $amount,
            $cents,
            End::output($this->order->id, $output->id),
            End::scrap(ScrapClass::Other),
        );
        $this->ledger->costs->add($this->order, CostKind::Receipt, -$cents);
        $this->ledger->outputs->received($this->order, $output, $amount, $cents);

        return $cents;
    }
}
