<?php

use Tests\Support\StartedShop;

/* What bin/start keeps before it changes the data, and bin/restore brings back. */

beforeEach(function () {
    $this->shop = new StartedShop;
});

afterEach(fn () => $this->shop->gone());

it('keeps the data before it changes it, and brings it back', function () {
    $process = $this->shop->serve();
    $this->shop->end($process);
    // as if one change of the database had not been made yet
    foreach (['items', 'routing_steps', 'order_steps'] as $table) {
        $this->shop->sql("ALTER TABLE keep_pace.{$table} RENAME COLUMN lead_time_days TO lead_days");
    }
    $this->shop->sql(
        "DELETE FROM keep_pace.migrations WHERE migration LIKE '%_lead_time_days'; "
            ."UPDATE keep_pace.people SET name = 'Ada of before'",
    );
    $process = $this->shop->serve([]);
    expect($process->getOutput())->toContain('Keeping the data as it is in');
    $this->shop->end($process);
    $dumps = glob("{$this->shop->var}/dumps/*.sql.gz") ?: [];
    expect($dumps)->toHaveCount(1)->and(substr(sprintf('%o', fileperms($dumps[0])), -3))->toBe('600');
    $this->shop->sql("UPDATE keep_pace.people SET name = 'Ada of after'");
    $restore = $this->shop->restore($dumps[0]);
    $restore->mustRun();
    expect($restore->getOutput())->toContain('rules hold')->toContain('What was there is in')
        ->and($this->shop->sql('SELECT name FROM keep_pace.people'))->toBe('Ada of before')
        ->and(glob("{$this->shop->var}/dumps/*-before-restore.sql.gz"))->toHaveCount(1);
    file_put_contents("{$this->shop->var}/half.sql.gz", substr((string) file_get_contents($dumps[0]), 0, 3000));
    $restore = $this->shop->restore("{$this->shop->var}/half.sql.gz");
    $restore->run();
    expect($restore->getErrorOutput())->toContain('is not a whole dump')
        ->and($this->shop->sql('SELECT name FROM keep_pace.people'))->toBe('Ada of before');
});
