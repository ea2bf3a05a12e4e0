<?php

namespace App\Models;

use App\Access\Deed;

/** What files can hang on, by the name of its table. */
enum Attachable: string
{
    case Item = 'items';
    case Customer = 'customers';
    case Supplier = 'suppliers';
    case WorkCentre = 'work_centres';
    case Lot = 'lots';

    /** The column of an attachment that names it. */
    public function key(): string
    {
        return match ($this) {
            self::Item => 'item_id',
            self::Customer => 'customer_id',
            self::Supplier => 'supplier_id',
            self::WorkCentre => 'work_centre_id',
            self::Lot => 'lot_id',
        };
    }

    /** Who may hang files on it. */
    public function right(): Deed
    {
        return match ($this) {
            self::Item => Deed::ChangeItems,
            self::Customer => Deed::KeepCustomers,
            self::Supplier => Deed::KeepSuppliers,
            self::WorkCentre => Deed::DrawUp,
            self::Lot => Deed::GoodsIn,
        };
    }

    /** Where its pages are. */
    public function address(): string
    {
        return str_replace('_', '-', $this->value);
    }

    /** What the record is called. */
    public function label(int $id): string
    {
        return match ($this) {
            self::Item => Item::query()->findOrFail($id)->number,
            self::Customer => Customer::query()->findOrFail($id)->number,
            self::Supplier => Supplier::query()->findOrFail($id)->number,
            self::WorkCentre => WorkCentre::query()->findOrFail($id)->code,
            self::Lot => 'lot '.Lot::query()->findOrFail($id)->code,
        };
    }
}
