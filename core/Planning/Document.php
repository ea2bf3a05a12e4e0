<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** A document as others name it: what kind it is, which one, and the number people know it by. */
final readonly class Document
{
    private function __construct(public DocumentKind $kind, public int $id, public string $number)
    {
    }

    public static function order(int $id, string $number): self
    {
        return new self(DocumentKind::Order, $id, $number);
    }

    public static function purchase(int $id, string $number): self
    {
        return new self(DocumentKind::Purchase, $id, $number);
    }

    /**
     * @param  int  $item  of which it is
     * @param  string  $number  of the lot, or the item
     */
    public static function inspection(int $item, string $number): self
    {
        return new self(DocumentKind::Inspection, $item, $number);
    }

    public function isPurchase(): bool
    {
        return $this->kind === DocumentKind::Purchase;
    }

    /** The order it is; null when it is none. */
    public function orderId(): ?int
    {
        return $this->kind === DocumentKind::Order ? $this->id : null;
    }

    /** "order 218", "purchase P-558/1", "inspection H-1" */
    public function label(): string
    {
        return "{$this->kind->value} {$this->number}";
    }

    /** @return array{kind: string, id: int, number: string} to be kept */
    public function kept(): array
    {
        return ['kind' => $this->kind->value, 'id' => $this->id, 'number' => $this->number];
    }
}
