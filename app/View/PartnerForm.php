<?php

namespace App\View;

use App\Models\Calendar;
use App\Models\Contact;
use App\Models\ContactWay;
use App\Models\Customer;
use App\Models\Partner;
use App\Models\PartnerKind;
use App\Models\Supplier;
use App\Queries\Product\PriceLevels;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\Suppliers;
use App\Wording\Figures;
use App\Wording\Weekdays;
use KeepPace\Core\Quantity\Amount;

/** The form of a customer or supplier: what it offers, and what stands in it before anybody types. */
final readonly class PartnerForm
{
    private const HELP = [
        'name' => 'As it stands on papers and in lists.',
        'address' => 'Where they are; goods go there where nothing else is said.',
        'terms' => 'How and when is paid, in words. It stands with their orders.',
        'note' => 'What everybody should know who deals with them.',
        'ship_to' => 'Where goods go if not to the address. An order can say another place.',
        'finish_days' => 'How many working days before it ships an order for them is finished. Empty: as the shop has '
            .'it.',
        'is_whole_only' => 'They take an order in one shipment: what is ready waits for the rest, unless somebody says '
            .'so in shipping.',
        'price_level' => 'Which prices they pay, where an item has prices of that level; else those for all.',
        'minimum_order' => 'What they ask at least for an order. A smaller one is told, not stopped.',
        'over_percent' => 'So much more than ordered is taken and paid. What is beyond it is blocked when it comes, '
            .'and asked about. Empty: all that comes is taken.',
        'calendar_id' => 'The days they work, by which lead times count. Holidays of theirs stand in a calendar. '
            .'Days of steps done there count by it too; without one they run through weekends.',
        'transport_days' => 'Working days of ours from when goods leave there until they are here.',
        'orders_on' => 'Days on which they take orders; what is ordered between waits for the next. None: any.',
        'delivers_on' => 'Days on which they deliver; what is ready before waits for the next. None: any.',
        'contacts' => 'Whom to ask for, the first first. Several telephones or mails are parted by commas.',
    ];

    /** @param  array<string, string>  $values  by field */
    private function __construct(
        public PartnerKind $kind,
        public ?Partner $partner,
        private array $values,
        public DraftForm $contacts,
    ) {
    }

    public static function blank(PartnerKind $kind): self
    {
        return new self($kind, null, [], self::contactsOf([]));
    }

    public static function of(PartnerKind $kind, Partner $partner): self
    {
        $own = match (true) {
            $partner instanceof Customer => [
                'ship_to' => $partner->ship_to,
                'finish_days' => (string) $partner->finish_days,
                'is_whole_only' => $partner->is_whole_only ? '1' : '0',
                'price_level' => $partner->price_level,
            ],
            $partner instanceof Supplier => [
                'minimum_order' => Amount::plain($partner->minimum_order),
                'calendar_id' => (string) $partner->calendar_id,
                'transport_days' => (string) $partner->transport_days,
                'over_percent' => (string) $partner->over_percent,
                'orders_on' => $partner->orders_on,
                'delivers_on' => $partner->delivers_on,
            ],
            default => [],
        };

        return new self(
            $kind,
            $partner,
            [
                'name' => $partner->name,
                'address' => $partner->address,
                'terms' => $partner->terms,
                'note' => $partner->note,
                ...$own,
            ],
            self::contactsOf($partner->contacts()->with('ways')->get()),
        );
    }

    public function value(string $field): string
    {
        return $this->values[$field] ?? '';
    }

    /** What a field is for. */
    public function help(string $field): string
    {
        return self::HELP[$field];
    }

    public function isCustomer(): bool
    {
        return $this->kind === PartnerKind::Customer;
    }

    /** "New supplier", "Change K-01 Heatherfell" */
    public function title(): string
    {
        return $this->partner === null ? "New {$this->kind->label()}" : "Change {$this->partner->label()}";
    }

    public function submitSays(): string
    {
        return $this->partner === null ? "Enter this {$this->kind->label()}" : "Change {$this->partner->number}";
    }

    /** Where it is sent. */
    public function to(): string
    {
        return $this->partner === null
            ? route("{$this->kind->value}.store")
            : route("{$this->kind->value}.update", $this->partner->id);
    }

    /** Where one goes who leaves it. */
    public function back(): string
    {
        return $this->partner === null
            ? route("{$this->kind->value}.index")
            : route("{$this->kind->value}.show", $this->partner->id);
    }

    /** "as the shop: 1 working day" */
    public function shopsDays(): string
    {
        return 'shop: '.Figures::count(Settings::whole(Setting::FinishDaysBefore), 'day');
    }

    /** @return array<int|string, string> */
    public function calendars(): array
    {
        return ['' => 'as the plant'] + Calendar::offered()->all();
    }

    /** @return list<string> price levels there are */
    public function levels(): array
    {
        return PriceLevels::all();
    }

    /** @return array<int, string> */
    public function weekdays(): array
    {
        return Weekdays::SHORT;
    }

    /** Whether a day of the week is ticked, as it was typed or as it is kept. */
    public function isOn(string $field, int $day): bool
    {
        $typed = old($field);
        $hasTyped = old('name') !== null;
        $kept = Suppliers::weekdays($this->value($field));

        return in_array($day, $hasTyped ? array_map(intval(...), is_array($typed) ? $typed : []) : $kept, true);
    }

    /** @return array<string, array{string, int, int}> what a field of a contact is called, its width, and at most */
    public function contactFields(): array
    {
        return [
            'name' => ['Name', 18, 80],
            'asked_about' => ['Asked about', 14, 60],
            'phones' => ['Telephones', 24, 400],
            'mails' => ['Mails', 30, 400],
        ];
    }

    /** @param  iterable<Contact>  $contacts */
    private static function contactsOf(iterable $contacts): DraftForm
    {
        $rows = [];
        foreach ($contacts as $contact) {
            $rows[] = [
                'name' => $contact->name,
                'asked_about' => $contact->asked_about,
                'phones' => implode(', ', $contact->at(ContactWay::PHONE)),
                'mails' => implode(', ', $contact->at(ContactWay::MAIL)),
            ];
        }
        $empty = ['name' => '', 'asked_about' => '', 'phones' => '', 'mails' => ''];

        return DraftForm::of($rows, $empty, more: 1, list: 'contacts');
    }
}
