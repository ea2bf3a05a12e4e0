<?php

namespace App\Actions\Import;

use App\Actions\Stock\SetStandardCost;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\PeriodLock;
use App\Books\Signed;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Person;
use App\Planner\KeepUp;
use Illuminate\Support\Str;

/** Reads a folder of CSV files, checks all of it first, and writes all of it or nothing. */
final class ImportFolder
{
    public function __construct(private readonly Bookings $bookings, private readonly KeepUp $plan,
        private readonly ProductDataWriter $productData, private readonly OpeningWriter $opening)
    {
    }

    /**
     * @param  (callable(string, int): void)|null  $progress  what is being done, and lines done
     *
     * @throws ImportRefused with every problem; nothing is written then
     */
    public function handle(string $path, Person $by, ?callable $progress = null): ImportResult
    {
        return $this->imported($path, $by, $progress, isTrial: false);
    }

    /**
     * Does all of it and takes all of it back: what it would do is in the result.
     *
     * @param  (callable(string, int): void)|null  $progress
     *
     * @throws ImportRefused with every problem
     */
    public function try(string $path, Person $by, ?callable $progress = null): ImportResult
    {
        try {
            return $this->imported($path, $by, $progress, isTrial: true);
        } catch (Tried $tried) {
            return $tried->result;
        }
    }

    private function imported(string $path, Person $by, ?callable $progress, bool $isTrial): ImportResult
    {
        $progress ??= function (string $doing, int $done): void {
        };
        $folder = Folder::read($path, $progress);
        $progress('Checking', array_sum(array_map(count(...), $folder->rows)));
        AbsentColumns::fill($folder);
        FolderChecks::run($folder, $by);
        $folder->assertRight();
        $result = new ImportResult();
        $this->plan->atTheEnd(
            fn () => $this->bookings->under(
                PeriodLock::Last,
                BookingKind::Import,
                new Signed('import-'.Str::uuid(), $by),
                Part::writing(function (Ledger $ledger) use ($folder, $result, $progress, $by, $isTrial): void {
                    $costs = $this->productData->write($folder, $ledger, $result, $progress);
                    $this->opening->lock($folder, $ledger, array_keys($costs));
                    foreach ($costs as $item => $cost) {
                        SetStandardCost::revalue($ledger, Item::query()->findOrFail($item), $cost);
                    }
                    $this->opening->write($folder, $ledger, $result, $by, $progress);
                    $folder->assertRight();
                    if ($isTrial) {
                        $result->tell($ledger->booking->id);
                        throw new Tried($result);
                    }
                    $ledger->says('Imported '.$result->sentence());
                }),
            ),
        );

        return $result;
    }
}
