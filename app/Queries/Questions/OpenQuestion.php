<?php

namespace App\Queries\Questions;

use App\Models\QuestionKind;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\PartLeft;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Purchasing\OverAnswer;

/** Something that was asked, of whom, since when; and what was answered. */
final readonly class OpenQuestion
{
    /**
     * @param  string  $role  who is asked
     * @param  int|null  $itemId  it is about a component
     * @param  BigDecimal  $onHand  free of that item
     * @param  BigDecimal  $asked  of how much it was asked
     * @param  BigDecimal  $open  how much of that nothing has settled
     */
    private function __construct(
        public int $id,
        private QuestionKind $kind,
        public string $says,
        public string $role,
        public ?int $orderId,
        private ?OrderState $orderState,
        public ?int $purchaseOrderId,
        public ?int $itemId,
        public BigDecimal $onHand,
        private BigDecimal $asked,
        private BigDecimal $open,
        public int $bookingId,
        public CarbonImmutable $openedAt,
        public ?CarbonImmutable $answeredAt,
        public string $answer,
        public string $answerer,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->enum('kind', QuestionKind::class),
            $row->text('says'),
            $row->text('role'),
            $row->intOrNull('order_id'),
            $row->enumOrNull('state', OrderState::class),
            $row->intOrNull('purchase_order_id'),
            $row->intOrNull('item_id'),
            $row->decimal('on_hand'),
            $row->decimal('quantity'),
            $row->decimal('open_quantity'),
            $row->int('booking_id'),
            $row->moment('opened_at'),
            $row->momentOrNull('answered_at'),
            $row->textOrNull('answer') ?? '',
            $row->textOrNull('answerer') ?? '',
        );
    }

    /** An order will finish short: it is cured on its own page. */
    public function isOfScrap(): bool
    {
        return $this->kind === QuestionKind::Short;
    }

    /** More came than is taken of what was ordered. */
    public function isOfOver(): bool
    {
        return $this->kind === QuestionKind::Over;
    }

    /** Pieces were spoiled at a supplier: whose fault it was is said on the claims. */
    public function isOfRejects(): bool
    {
        return $this->kind === QuestionKind::Rejects;
    }

    /** A part of ours is left at a supplier. */
    public function isOfLeft(): bool
    {
        return $this->kind === QuestionKind::Left;
    }

    /** @return list<PartLeft> */
    public function leftAnswers(): array
    {
        return PartLeft::cases();
    }

    /** @return list<OverAnswer> */
    public function overAnswers(): array
    {
        return OverAnswer::cases();
    }

    /** What is left of it when a part is settled. */
    public function left(): ?BigDecimal
    {
        return $this->open->isLessThan($this->asked) ? $this->open : null;
    }

    /** What was missing can be booked now. */
    public function canGoOnASlip(): bool
    {
        return $this->itemId !== null && $this->orderState?->isInTheShop() === true;
    }

    /** Where it is answered. */
    public function address(): string
    {
        return match (true) {
            $this->isOfScrap() => route('orders.show', $this->orderId),
            $this->isOfOver() => route('purchases.show', $this->purchaseOrderId),
            $this->isOfRejects() => route('claims.index'),
            default => route('questions.index'),
        };
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "question-{$this->id}";
    }
}
