<?php

namespace App\Queries\Partners;

use App\Models\Attachable;
use App\Models\Customer;
use App\Models\PartnerKind;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Demand\DemandLine;
use App\Queries\Files\HangingFile;
use App\Queries\ProductTrail;
use App\Reading\Cut;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Wording\Figures;
use Illuminate\Support\Collection;

/** A customer with what is known of them and what is going on with them. */
final readonly class CustomerPage
{
    /** What their files hang on. */
    public const FILES = Attachable::Customer;

    /**
     * @param  Cut<DemandLine>  $lines  open ones, the first promised first
     * @param  Cut<PartnerOrder>  $orders
     * @param  Collection<int, OwnMaterial>  $material
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     * @param  Collection<int, HangingFile>  $files
     */
    private function __construct(
        public Customer $partner,
        public Cut $lines,
        public Cut $orders,
        public Collection $material,
        public Collection $changes,
        public Collection $files,
    ) {
    }

    public static function of(int $id): self
    {
        return new self(
            Customer::query()->with('contacts.ways')->findOrFail($id),
            CustomerOrderList::ofCustomer($id),
            PartnerOrder::of(PartnerKind::Customer, $id),
            OwnMaterial::of($id),
            ProductTrail::of(PartnerKind::Customer->value, $id),
            HangingFile::on(self::FILES, $id),
        );
    }

    private static function finished(int $days): string
    {
        return $days === 0 ? 'on the day it ships' : Figures::count($days, 'working day').' before it ships';
    }

    /** @return array<string, string> what is known, by what it is called */
    public function facts(): array
    {
        $customer = $this->partner;
        $days = $customer->finish_days ?? Settings::whole(Setting::FinishDaysBefore);

        return array_filter([
            'Address' => $customer->address,
            'Goods go to' => $customer->ship_to === '' ? 'their address' : $customer->ship_to,
            'Terms' => $customer->terms,
            'Finished' => self::finished($days).($customer->finish_days === null ? ', as the shop has it' : ''),
            'Price level' => $customer->price_level,
            'Ships' => $customer->is_whole_only ? 'whole orders only' : 'in parts too',
        ], fn (string $says): bool => $says !== '');
    }
}
