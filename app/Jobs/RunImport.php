<?php

namespace App\Jobs;

use App\Actions\Import\ImportFolder;
use App\Actions\Import\ImportRefused;
use App\Actions\Import\ImportResult;
use App\Actions\Import\Problem;
use App\Books\JustBooked;
use App\Models\Person;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refusal;

/** Runs an import a person started and keeps its progress in its row. */
class RunImport implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $timeout = 600;

    public int $tries = 1;

    public function __construct(public readonly int $importId)
    {
    }

    public function handle(ImportFolder $import): void
    {
        $row = DB::table('imports')->where('id', $this->importId)->first();
        if ($row === null) {
            return;
        }
        $lines = array_sum(array_map(fn (string $file): int => substr_count((string) file_get_contents($file), "\n"),
            glob("{$row->folder}/*") ?: []));
        $this->keep(['state' => 'running', 'doing' => 'Reading', 'lines_total' => $lines]);
        try {
            $by = Person::query()->whereKey($row->person_id)->firstOrFail();
            $result = $row->is_trial
                ? $import->try($row->folder, $by, $this->tell(...))
                : $import->handle($row->folder, $by, $this->tell(...));
            $this->done($result, $lines);
        } catch (ImportRefused $refused) {
            $this->keep(['state' => 'refused', 'doing' => $refused->getMessage(), 'problem_count' => $refused->count,
                'problems' => json_encode($refused->problems)]);
        } catch (Refusal $refused) {
            $this->keep([
                'state' => 'refused',
                'doing' => "Nothing was imported: {$refused->getMessage()}",
                'problem_count' => 1,
                'problems' => json_encode([new Problem('', 0, '', $refused->getMessage())]),
            ]);
        }
    }

    private function tell(string $doing, int $done): void
    {
        $this->keep($done > 0 ? ['doing' => $doing, 'lines_done' => $done] : ['doing' => $doing]);
    }

    private function done(ImportResult $result, int $lines): void
    {
        $this->keep([
            'state' => 'done',
            'doing' => trim($result->sentence().' '.app(JustBooked::class)->behind),
            'lines_done' => $lines,
            'result' => json_encode($result->files),
            'changes' => json_encode(['new' => $result->new, 'changed' => $result->changes]),
            'change_count' => $result->changeCount,
        ]);
    }

    public function failed(\Throwable $failure): void
    {
        $this->keep([
            'state' => 'failed',
            'doing' => 'The import broke off and nothing of it was written. The log says why.',
        ]);
    }

    /** @param  array<string, mixed>  $values */
    private function keep(array $values): void
    {
        DB::connection(config()->string('pace.progress_connection'))->table('imports')->where('id', $this->importId)
            ->update([...$values, 'updated_at' => now()]);
    }
}
