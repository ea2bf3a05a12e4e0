<?php

namespace App\Console;

use App\Access\Deed;
use App\Actions\Import\ImportFolder;
use App\Actions\Import\ImportRefused;
use App\Books\JustBooked;
use App\Models\Person;
use Illuminate\Console\Command;

/** The importer from the command line. */
class ImportFiles extends Command
{
    use ReadsText;

    protected $signature = 'pace:import
        {folder : folder with the CSV files}
        {--as=planner : login of the person who imports}';

    protected $description = 'Import a folder of CSV files: all of it, or nothing';

    public function handle(ImportFolder $import): int
    {
        $folder = $this->argumentText('folder');
        if (! is_dir($folder)) {
            $this->error("There is no folder {$folder}.");

            return self::FAILURE;
        }
        $by = Person::withLogin($this->optionText('as'));
        if ($by === null || ! $by->may(Deed::Import)) {
            $this->error("{$this->optionText('as')} is nobody who may import files.");

            return self::FAILURE;
        }
        try {
            $result = $import->handle($folder, $by);
        } catch (ImportRefused $refused) {
            $this->error($refused->getMessage());
            foreach (array_slice($refused->problems, 0, 200) as $problem) {
                $this->line("  {$problem}");
            }

            return self::FAILURE;
        }
        foreach ($result->files as $file => $counts) {
            $this->line(
                sprintf(
                    '%-18s %5d new %5d changed %5d as before',
                    $file,
                    $counts['new'],
                    $counts['changed'],
                    $counts['same'],
                ),
            );
        }

        app(JustBooked::class)->behind === null ?: $this->warn(app(JustBooked::class)->behind);

        return self::SUCCESS;
    }
}
