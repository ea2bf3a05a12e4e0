<?php

namespace App\Http\Requests\Purchasing;

use App\Actions\Purchasing\Delivered;
use App\Actions\Stock\Arrival;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Http\TakenFile;
use App\Models\AttachmentKind;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Illuminate\Http\UploadedFile;
use KeepPace\Core\Purchasing\RestOfLine;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\Condition;

/** A delivery as it is typed: rows of lines that were ordered, and rows of what nobody ordered. */
class DeliveryRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'supplier' => ['required', ...Rules::id(), 'exists:suppliers,id'],
            'paper' => ['nullable', ...Rules::text(60)],
            'booked_on' => ['nullable', ...Rules::day()],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'condition' => ['required', 'in:usual,free,inspection,blocked'],
            'straight' => ['nullable', 'boolean'],
            'lines' => ['nullable', 'array', 'max:300'],
            'lines.*' => ['array:seen,quantity,unit,codes,supplier_lot,expires_on,rest,rest_on,certificate'],
            ...$this->came('lines'),
            'lines.*.certificate' => ['nullable', ...TakenFile::rules()],
            'lines.*.seen' => ['nullable', ...Rules::amountOrZero()],
            'lines.*.rest' => ['nullable', 'in:day,never,unknown'],
            'lines.*.rest_on' => ['nullable', ...Rules::workedDay()],
            'other' => ['nullable', 'array', 'max:20'],
            'other.*' => ['array:item,price,quantity,unit,codes,supplier_lot,expires_on'],
            ...$this->came('other'),
            'other.*.item' => ['nullable', ...Rules::text(60)],
            'other.*.price' => ['nullable', ...Rules::price()],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'lines.*.certificate.max' => TakenFile::tooBig(),
            'lines.*.certificate.uploaded' => TakenFile::tooBig(),
            'lines.*.certificate.file' => 'Choose the certificate as a file.',
        ];
    }

    /** @return array<string, list<mixed>> what is typed of anything that came */
    private function came(string $list): array
    {
        return [
            "{$list}.*.quantity" => ['nullable', ...Rules::amountOrZero()],
            "{$list}.*.unit" => ['nullable', ...Rules::text(12)],
            "{$list}.*.codes" => ['nullable', ...Rules::text(20000)],
            "{$list}.*.supplier_lot" => ['nullable', ...Rules::text(60)],
            "{$list}.*.expires_on" => ['nullable', ...Rules::farDay()],
        ];
    }

    /** @return list<Delivered> rows in which something was typed */
    public function rows(): array
    {
        $rows = [];
        $typed = $this->validated('lines') ?? [];
        $lines = PurchaseLine::query()->whereKey(array_keys($typed))->get()->keyBy('id');
        foreach ($typed as $id => $row) {
            $line = $lines->get((int) $id);
            $rest = RestOfLine::from($row['rest'] ?? '');
            $arrival = $line === null ? null : $this->arrival($row, $line->item_id, $line->price, $line->id);
            if ($line !== null && ($arrival !== null || $rest !== RestOfLine::AsSaid)) {
                $rows[] = new Delivered(
                    "lines.{$id}",
                    $arrival,
                    $line->id,
                    $row['seen'] ?? null,
                    $rest,
                    $row['rest_on'] ?? null,
                );
            }
        }
        foreach ($this->validated('other') ?? [] as $i => $row) {
            if (($row['item'] ?? null) !== null) {
                $item = $this->item("other.{$i}.item");
                $rows[] = new Delivered(
                    "other.{$i}",
                    $this->arrival($row, $item->id, $row['price'] ?? $item->cost, null),
                );
            }
        }

        return $rows;
    }

    /** @param  array<string, mixed>  $row */
    private function arrival(array $row, int $item, string $price, ?int $line): ?Arrival
    {
        $quantity = (string) ($row['quantity'] ?? '0');
        $certificate = $row['certificate'] ?? null;

        return BigDecimal::of($quantity)->isZero() ? null : new Arrival(
            $item,
            new TypedQuantity($quantity, $row['unit'] ?? null),
            $price,
            $this->integer('place_id'),
            $row['codes'] ?? '',
            $line,
            Condition::tryFrom($this->validated('condition')),
            0,
            $row['expires_on'] ?? null,
            $row['supplier_lot'] ?? '',
            $certificate instanceof UploadedFile
                ? TakenFile::of($certificate, AttachmentKind::Certificate)
                : null,
        );
    }
}
