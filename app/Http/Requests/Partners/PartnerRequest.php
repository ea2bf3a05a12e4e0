<?php

namespace App\Http\Requests\Partners;

use App\Access\Deed;
use App\Actions\Partners\TypedContact;
use App\Actions\Partners\TypedCustomer;
use App\Actions\Partners\TypedPartner;
use App\Actions\Partners\TypedSupplier;
use App\Actions\Partners\Ways;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use App\Http\Requests\TypedRows;
use App\Models\PartnerKind;
use Closure;
use KeepPace\Core\Refused;

/** What is known of a customer or supplier, and whom to ask for. */
class PartnerRequest extends DeedRequest
{
    protected function fields(): array
    {
        $own = match ($this->kind()) {
            PartnerKind::Customer => [
                'ship_to' => ['nullable', ...Rules::text(200)],
                'finish_days' => ['nullable', 'bail', 'integer', 'between:0,60'],
                'is_whole_only' => ['nullable', 'boolean'],
                'price_level' => ['nullable', ...Rules::text(20)],
            ],
            PartnerKind::Supplier => [
                'minimum_order' => ['nullable', 'bail', new PlainNumber(most: '9999999', decimals: 2)],
                'calendar_id' => ['nullable', ...Rules::id(), 'exists:calendars,id'],
                'transport_days' => ['nullable', 'bail', 'integer', 'between:0,60'],
                'over_percent' => ['nullable', 'bail', 'integer', 'between:0,100'],
                'orders_on' => ['nullable', 'array', 'max:7'],
                'orders_on.*' => ['integer', 'between:1,7'],
                'delivers_on' => ['nullable', 'array', 'max:7'],
                'delivers_on.*' => ['integer', 'between:1,7'],
            ],
        };

        return [
            'version' => Rules::version(),
            'name' => ['required', ...Rules::text(80)],
            'address' => ['nullable', ...Rules::text(200)],
            'terms' => ['nullable', ...Rules::text(120)],
            'note' => ['nullable', ...Rules::text(1000)],
            'contacts' => ['nullable', 'array', 'max:30'],
            ...$own,
        ];
    }

    public function kind(): PartnerKind
    {
        $kind = $this->route('kind');

        return $kind instanceof PartnerKind ? $kind : PartnerKind::from(is_string($kind) ? $kind : '');
    }

    public function partner(): TypedPartner
    {
        $text = fn (string $field): string => (string) ($this->validated($field) ?? '');
        $common = [$text('name'), $text('address'), $text('terms'), $text('note'), $this->contacts()];
        $days = $this->validated('finish_days');
        $calendar = $this->validated('calendar_id');

        return match ($this->kind()) {
            PartnerKind::Customer => new TypedCustomer(
                ...$common,
                shipTo: $text('ship_to'),
                finishDays: $days === null ? null : (int) $days,
                isWholeOnly: $this->boolean('is_whole_only'),
                priceLevel: $text('price_level'),
            ),
            PartnerKind::Supplier => new TypedSupplier(
                ...$common,
                minimumOrder: $this->person()->may(Deed::SeeMoney) ? $text('minimum_order') ?: '0' : null,
                calendarId: $calendar === null ? null : (int) $calendar,
                transportDays: (int) $this->validated('transport_days'),
                overPercent: $text('over_percent') === '' ? null : (int) $text('over_percent'),
                ordersOn: $this->weekdays('orders_on'),
                deliversOn: $this->weekdays('delivers_on'),
            ),
        };
    }

    /** @return list<int> each once, Monday first; all of them is as good as none */
    private function weekdays(string $field): array
    {
        $days = array_values(array_unique(array_map(intval(...), $this->array($field))));
        sort($days);

        return count($days) === 7 ? [] : $days;
    }

    /** @return list<TypedContact> */
    private function contacts(): array
    {
        $rows = TypedRows::of($this->array('contacts'), 'contacts', ['name', 'asked_about', 'phones', 'mails']);
        $contacts = $names = [];
        foreach ($rows->places() as $at) {
            $name = $rows->words($at, 'name', 80);
            if ($name !== '' && in_array(mb_strtolower($name), $names, true)) {
                $rows->wrong($at, 'name', 'Stands twice. Each person has one line.');
            }
            $names[] = mb_strtolower($name);
            $contacts[] = new TypedContact(
                $name,
                $rows->text($at, 'asked_about', 60),
                $this->ways($rows, $at, 'phones', Ways::phones(...)),
                $this->ways($rows, $at, 'mails', Ways::mails(...)),
            );
        }
        $rows->assertRight();

        return $contacts;
    }

    /**
     * @param  Closure(string): list<string>  $read
     * @return list<string>
     */
    private function ways(TypedRows $rows, int $at, string $field, Closure $read): array
    {
        try {
            return $read($rows->text($at, $field, 400));
        } catch (Refused $refused) {
            $rows->wrong($at, $field, $refused->getMessage());

            return [];
        }
    }
}
