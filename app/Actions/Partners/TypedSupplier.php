<?php

namespace App\Actions\Partners;

/** A supplier as it was typed. */
final readonly class TypedSupplier extends TypedPartner
{
    /**
     * @param  list<TypedContact>  $contacts
     * @param  string|null  $minimumOrder  euros; null where who types may not see money: it stays
     * @param  int|null  $calendarId  null = as the plant
     * @param  int|null  $overPercent  of what is ordered is taken beyond it; null = all that comes
     * @param  list<int>  $ordersOn  weekdays, 1 = Monday; none = any
     * @param  list<int>  $deliversOn  weekdays
     */
    public function __construct(
        string $name,
        string $address,
        string $terms,
        string $note,
        array $contacts,
        private ?string $minimumOrder,
        private ?int $calendarId,
        private int $transportDays,
        private ?int $overPercent,
        private array $ordersOn,
        private array $deliversOn,
    ) {
        parent::__construct($name, $address, $terms, $note, $contacts);
    }

    public function columns(): array
    {
        return [
            ...parent::columns(),
            ...$this->minimumOrder === null ? [] : ['minimum_order' => $this->minimumOrder],
            'calendar_id' => $this->calendarId,
            'transport_days' => $this->transportDays,
            'over_percent' => $this->overPercent,
            'orders_on' => implode(',', $this->ordersOn),
            'delivers_on' => implode(',', $this->deliversOn),
        ];
    }
}
