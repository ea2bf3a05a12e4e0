<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Builds\BookBuild;
use App\Actions\Builds\TypedBuild;
use App\Models\Booking;
use App\Models\Item;
use App\Models\Place;

/** Sets of spare parts, put together for the shelf: one asked for, one half built, one that went through at once. */
final readonly class Sets
{
    public function __construct(private Staff $staff)
    {
    }

    public function play(): void
    {
        $this->build(null, '3', '3', 'Workshop day');
        $first = $this->build(null, '16', '5', 'Spring fair');
        $this->build($first->order_id, '16', '2');
        $this->build(null, '6', '0', 'Reserve');
    }

    private function build(?int $order, string $asked, string $built, string $reference = ''): Booking
    {
        return app(BookBuild::class)->handle(
            new TypedBuild(
                $order,
                Item::query()->where('number', 'SPARE-1')->sole()->id,
                $asked,
                $built,
                Place::query()->where('code', 'FINISHED')->sole()->id,
                $reference,
            ),
            $this->staff->signs(Role::Operator),
        );
    }
}
