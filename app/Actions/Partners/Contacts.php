<?php

namespace App\Actions\Partners;

use App\Books\ProductChanges;
use App\Models\Contact;
use App\Models\ContactWay;
use App\Models\Partner;
use App\Models\PartnerKind;

/** Writes whom to ask for, by page or by file; what differs goes into the trail of the customer or supplier. */
final readonly class Contacts
{
    public function __construct(private PartnerKind $kind, private ProductChanges $changes)
    {
    }

    /**
     * All of them: who is not among them goes.
     *
     * @param  list<TypedContact>  $contacts  the first is whom to ask for first
     * @return bool whether anything differs
     */
    public function replace(Partner $partner, array $contacts): bool
    {
        $says = fn (TypedContact $one): string => $one->says();
        $before = $partner->contacts()->with('ways')->get();
        $was = array_map($says, array_values($before->map(TypedContact::of(...))->all()));
        $is = array_map($says, $contacts);
        if ($was === $is) {
            return false;
        }
        foreach (array_keys($was + $is) as $place) {
            if (($was[$place] ?? '') !== ($is[$place] ?? '')) {
                $field = 'contact '.($place + 1);
                $this->changes->field(
                    $this->kind->value,
                    $partner->id,
                    $partner->number,
                    $field,
                    $was[$place] ?? '',
                    $is[$place] ?? '',
                );
            }
        }
        $before->each(fn (Contact $contact): ?bool => $contact->delete());
        foreach ($contacts as $place => $contact) {
            $this->write($partner, $place + 1, $contact);
        }

        return true;
    }

    private function write(Partner $partner, int $position, TypedContact $typed): void
    {
        $contact = Contact::query()->create([
            $this->kind->key() => $partner->id,
            'position' => $position,
            'name' => $typed->name,
            'asked_about' => $typed->askedAbout,
        ]);
        foreach ([ContactWay::PHONE => $typed->phones, ContactWay::MAIL => $typed->mails] as $kind => $all) {
            foreach ($all as $at) {
                $contact->ways()->create(['kind' => $kind, 'at' => $at]);
            }
        }
    }
}
