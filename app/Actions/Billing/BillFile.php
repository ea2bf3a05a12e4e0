<?php

namespace App\Actions\Billing;

use App\Actions\Import\Column;
use App\Actions\Import\CsvFile;
use App\Actions\Import\FileSpec;
use App\Actions\Import\JsonFile;
use App\Actions\Import\Problem;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Purchasing\BillRefused;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** Bills of suppliers in one file, CSV or JSON: a row a line, rows of one number and supplier are one bill. */
final class BillFile
{
    /** So many sentences are told. */
    private const TOLD = 20;

    /** @var array<string, string> what is wrong */
    private array $wrong = [];

    private function __construct()
    {
    }

    /**
     * @return non-empty-list<TypedBill>
     *
     * @throws Refused with what is wrong, line by line
     */
    public static function read(string $path, bool $isJson): array
    {
        $file = new self;
        $rows = [];
        $all = $isJson
            ? JsonFile::rows($path, self::spec(), $file->problem(...))
            : CsvFile::rows($path, self::spec(), $file->problem(...));
        foreach ($all as $line => $cells) {
            $row = $file->row($line, $cells);
            $rows[Code::keyOf($row['supplier'])."\0".Code::keyOf($row['bill'])][$line] = $row;
        }
        $bills = [];
        foreach ($rows as $of) {
            $bills[] = $file->bill($of);
        }
        $wrong = array_slice($file->wrong, 0, self::TOLD);
        if ($wrong !== []) {
            throw new Refused($wrong);
        }

        $bills = array_values(array_filter($bills));

        return $bills === [] ? throw BillRefused::nothingOnIt() : $bills;
    }

    public static function spec(): FileSpec
    {
        return new FileSpec('bills', ['supplier', 'bill', 'purchase', 'charge'], [
            Column::text('supplier', 60),
            Column::code('bill', 60),
            Column::date('date'),
            Column::date('due', ''),
            Column::decimal('total', '', '-999999999', 2),
            Column::text('purchase', 60, ''),
            Column::decimal('quantity', '', '-999999999'),
            Column::text('unit', 12, ''),
            Column::decimal('price', '', most: '9999999'),
            Column::text('charge', 200, ''),
            Column::decimal('amount', '', '-9999999', 2, '9999999'),
            Column::choice('spread', array_column(SpreadBy::cases(), 'value'), SpreadBy::Value->value),
        ]);
    }

    private function problem(Problem $problem): void
    {
        $this->wrong["file.{$problem->line}.{$problem->column}"] = (string) $problem;
    }

    /**
     * @param  array<string, string>  $cells
     * @return array<string, string>
     */
    private function row(int $line, array $cells): array
    {
        $today = CarbonImmutable::now(config()->string('pace.zone'));
        $row = [];
        foreach (self::spec()->columns as $column) {
            $read = $column->read($cells[$column->name] ?? '', $today, null);
            $row[$column->name] = $read['ok'] ? (string) $read['value'] : '';
            $read['ok'] ?: $this->problem(new Problem('bills', $line, $column->name, "{$read['value']}."));
        }

        return $row;
    }

    /** @param  non-empty-array<int, array<string, string>>  $rows  of one bill, by line */
    private function bill(array $rows): ?TypedBill
    {
        $at = array_key_first($rows);
        $head = $rows[$at];
        $supplier = Supplier::numbered($head['supplier']);
        if ($supplier === null) {
            $this->problem(new Problem('bills', $at, 'supplier', "'{$head['supplier']}' is no supplier's number."));

            return null;
        }
        $lines = [];
        foreach ($rows as $line => $row) {
            $lines[] = $this->line($line, $row);
        }

        return new TypedBill(
            $supplier->id,
            $head['bill'],
            $head['date'],
            $head['due'] === '' ? null : $head['due'],
            $head['total'] === '' ? null : self::cents($head['total']),
            array_values(array_filter($lines)),
        );
    }

    /** @param  array<string, string>  $row */
    private function line(int $line, array $row): ?TypedBillLine
    {
        if ($row['purchase'] === '') {
            if ($row['charge'] === '' || $row['amount'] === '') {
                $says = 'names neither a purchase line nor a charge with its amount.';
                $this->problem(new Problem('bills', $line, 'purchase', $says));
            }

            return TypedBillLine::charge(
                "file.{$line}",
                $row['charge'],
                $row['amount'] === '' ? 0 : self::cents($row['amount']),
                SpreadBy::tryFrom($row['spread']) ?? SpreadBy::Value,
            );
        }
        $purchase = PurchaseLine::query()->where('number', $row['purchase'])->first();
        foreach (['quantity', 'price'] as $needed) {
            $row[$needed] !== ''
                ?: $this->problem(new Problem('bills', $line, $needed, 'is empty and must be filled.'));
        }
        if ($purchase === null) {
            $says = "'{$row['purchase']}' is no line of a purchase, such as P-571/1.";
            $this->problem(new Problem('bills', $line, 'purchase', $says));

            return null;
        }

        return TypedBillLine::goods(
            "file.{$line}",
            $purchase->id,
            $row['quantity'] === '' ? '0' : $row['quantity'],
            $row['unit'] === '' ? null : $row['unit'],
            $row['price'] === '' ? '0' : $row['price'],
        );
    }

    private static function cents(string $euros): int
    {
        return Cents::of(BigDecimal::one(), $euros);
    }
}
