<?php

namespace App\Actions\Import;

use App\Actions\Partners\Contacts;
use App\Actions\Partners\TypedContact;
use App\Actions\Partners\Ways;
use App\Books\ProductChanges;
use App\Models\PartnerKind;

/**
 * Writes whom to ask for at customers and suppliers: by their own file, or by the one name in the file of all of them,
 * which is then the first. Who is not in a file stays.
 */
final readonly class ContactWriter
{
    public function __construct(
        private Folder $folder,
        private ImportedIds $ids,
        private ProductChanges $changes,
        private ImportResult $result,
    ) {
    }

    public function write(): void
    {
        foreach (PartnerKind::cases() as $kind) {
            $this->first($kind);
            $this->all($kind);
        }
    }

    private function first(PartnerKind $kind): void
    {
        foreach ($this->folder->rowsOf($kind->value) as $row) {
            $name = (string) $row['contact'];
            $there = $name === '' ? [] : $this->there($kind, $row['number']);
            $first = $there[0] ?? null;
            if ($name === '' || $first?->name === $name) {
                continue;
            }
            $others = array_filter($there, fn (TypedContact $one): bool => $one->name !== $name);
            $known = array_values(array_filter($there, fn (TypedContact $one): bool => $one->name === $name));
            if ($first?->says() === $first?->name) {
                array_shift($others); // only a name: it is another now
            }
            $this->replace($kind, $row['number'], [$known[0] ?? new TypedContact($name), ...$others]);
        }
    }

    private function all(PartnerKind $kind): void
    {
        $file = "{$kind->label()}-contacts";
        $typed = [];
        foreach ($this->folder->rowsOf($file) as $row) {
            $typed[(string) $row[$kind->label()]][] = new TypedContact(
                (string) $row['name'],
                (string) $row['asked_about'],
                Ways::phones((string) $row['phones']),
                Ways::mails((string) $row['mails']),
            );
        }
        foreach ($typed as $number => $contacts) {
            $this->merge($kind, $file, (string) $number, $contacts);
        }
    }

    /** @param  list<TypedContact>  $typed */
    private function merge(PartnerKind $kind, string $file, string $number, array $typed): void
    {
        $all = [];
        foreach ($this->there($kind, $number) as $one) {
            $all[$one->name] = $one;
        }
        foreach ($typed as $one) {
            $was = $all[$one->name] ?? null;
            $this->result->add($file, $was === null ? 'new' : ($was->says() === $one->says() ? 'same' : 'changed'));
            $all[$one->name] = $one;
        }
        $this->replace($kind, $number, array_values($all));
    }

    /** @return list<TypedContact> */
    private function there(PartnerKind $kind, ?string $number): array
    {
        $partner = $kind->find((int) $this->ids->of([$kind->value, 'number'], $number));

        return array_values($partner->contacts()->with('ways')->get()->map(TypedContact::of(...))->all());
    }

    /** @param  list<TypedContact>  $contacts */
    private function replace(PartnerKind $kind, ?string $number, array $contacts): void
    {
        $partner = $kind->find((int) $this->ids->of([$kind->value, 'number'], $number));
        if ((new Contacts($kind, $this->changes))->replace($partner, $contacts)) {
            $partner->version++;
            $partner->save();
        }
    }
}
