<?php

namespace App\Models;

use App\Access\Deed;

/** Those who deal with us, by the name of their table. */
enum PartnerKind: string
{
    case Customer = 'customers';
    case Supplier = 'suppliers';

    public function label(): string
    {
        return match ($this) {
            self::Customer => 'customer',
            self::Supplier => 'supplier',
        };
    }

    /** They sell items. */
    public function hasItems(): bool
    {
        return $this === self::Supplier;
    }

    /** Who may enter and change them. */
    public function right(): Deed
    {
        return match ($this) {
            self::Customer => Deed::KeepCustomers,
            self::Supplier => Deed::KeepSuppliers,
        };
    }

    /** What a contact of theirs is known by. */
    public function key(): string
    {
        return match ($this) {
            self::Customer => 'customer_id',
            self::Supplier => 'supplier_id',
        };
    }

    /** One of them that is not there yet. */
    public function begin(): Partner
    {
        return match ($this) {
            self::Customer => new Customer,
            self::Supplier => new Supplier,
        };
    }

    public function find(int $id): Partner
    {
        return match ($this) {
            self::Customer => Customer::query()->findOrFail($id),
            self::Supplier => Supplier::query()->findOrFail($id),
        };
    }

    /** Nobody else changes it until the transaction ends. */
    public function lock(int $id): Partner
    {
        return match ($this) {
            self::Customer => Customer::query()->lockForUpdate()->findOrFail($id),
            self::Supplier => Supplier::query()->lockForUpdate()->findOrFail($id),
        };
    }

    public function known(string $numberKey): ?Partner
    {
        return match ($this) {
            self::Customer => Customer::query()->firstWhere('number_key', $numberKey),
            self::Supplier => Supplier::query()->firstWhere('number_key', $numberKey),
        };
    }
}
