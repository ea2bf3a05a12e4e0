<?php

namespace App\Actions\Files;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Files\FileRefused;
use App\Files\FileStore;
use App\Files\FileType;
use App\Files\Picture;
use App\Models\Attachable;
use App\Models\Attachment;
use App\Models\AttachmentKind;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\KeptFile;
use KeepPace\Core\Refused;

/** Hangs a file on something, or takes it off; the file itself stays in the store. */
final class HangFile
{
    public function __construct(private readonly Bookings $bookings, private readonly FileStore $store)
    {
    }

    /** @throws Refused beside the file when it is none of what can hang here */
    public function handle(Attachable $on, int $id, TypedFile $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            fn (Ledger $ledger) => $ledger->says($this->hang($ledger, $on, $id, $typed)),
        ));
    }

    /**
     * Within a deed: the certificate that came with a lot.
     *
     * @return string what hangs where, in a sentence
     *
     * @throws Refused
     */
    public function hang(Ledger $ledger, Attachable $on, int $id, TypedFile $typed): string
    {
        $label = $on->label($id);
        $file = $this->kept($typed);
        self::assertNew($on, $id, $file, $typed);
        if ($typed->kind === AttachmentKind::Picture) {
            $this->takeOff($on, $id, $ledger);
        }
        Attachment::query()->create([
            $on->key() => $id,
            'file_id' => $file->id,
            'kind' => $typed->kind,
            'name' => $typed->name,
            'step_number' => $on === Attachable::Item ? $typed->step : null,
            'booking_id' => $ledger->booking->id,
        ]);
        $changes = new ProductChanges($ledger->booking->id);
        $changes->field($on->value, $id, $label, $typed->kind->label(), '', $typed->name);
        $changes->write();

        return ucfirst($typed->kind->label())." {$typed->name} hangs on {$label}.";
    }

    /** @throws Refused when it does not hang there any more */
    public function remove(int $attachment, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($attachment): void {
                $found = Attachment::query()->lockForUpdate()->findOrFail($attachment);
                if ($found->taken_off_id !== null) {
                    throw Refused::because('It was taken off already.');
                }
                $found->update(['taken_off_id' => $ledger->booking->id]);
                $label = $found->hangsOn()->label($found->recordId());
                $changes = new ProductChanges($ledger->booking->id);
                $kind = $found->kind->label();
                $changes->field($found->hangsOn()->value, $found->recordId(), $label, $kind, $found->name, '');
                $changes->write();
                $ledger->says(ucfirst($kind)." {$found->name} taken off {$label}.");
            },
        ));
    }

    /** @throws Refused when it hangs there as that already */
    private static function assertNew(Attachable $on, int $id, KeptFile $file, TypedFile $typed): void
    {
        $there = Attachment::query()
            ->where($on->key(), $id)
            ->where('file_id', $file->id)
            ->where('kind', $typed->kind)
            ->where('step_number', $typed->step)
            ->whereNull('taken_off_id')
            ->exists();
        if ($there) {
            throw Refused::because("This very file hangs on {$on->label($id)} already.", 'file');
        }
    }

    /** A record shows one picture: the one before is taken off. */
    private function takeOff(Attachable $on, int $id, Ledger $ledger): void
    {
        Attachment::query()
            ->where($on->key(), $id)
            ->where('kind', AttachmentKind::Picture)
            ->whereNull('taken_off_id')
            ->update(['taken_off_id' => $ledger->booking->id]);
    }

    /** @throws FileRefused */
    private function kept(TypedFile $typed): KeptFile
    {
        $type = FileType::of($typed->content) ?? throw FileRefused::unknownType();
        if ($typed->kind === AttachmentKind::Picture && ! $type->isPicture()) {
            throw FileRefused::noPicture();
        }
        $picture = $type->isPicture() ? Picture::drawnAnew($typed->content, $type) : null;
        $content = $picture->content ?? $typed->content;

        return KeptFile::query()->firstOrCreate(
            ['hash' => $this->store->put($content)],
            [
                'type' => $type->value,
                'bytes' => strlen($content),
                'width' => $picture?->width,
                'height' => $picture?->height,
            ],
        );
    }
}
