<?php

namespace Tests\Support;

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** A shop of its own that processes outside this one see: its database, commands, web server, clock. Ended by pid. */
final class LiveShop
{
    public readonly string $url;

    /** @var list<Process> */
    private array $processes = [];

    public \PDO $db;

    /** A Tuesday on which the shop works, as in the feature tests. */
    private const MORNING = '2026-11-24 09:00';

    private const ROOT = __DIR__.'/../..';

    public readonly string $database;

    private readonly string $port;

    private readonly string $passwordFile;

    private readonly int $webPort;

    private ?Process $web = null;

    /** Seconds the plant's clock is ahead of the machine's. */
    private int $clock;

    /**
     * @param  string|null  $port  of another database server than that of the tests
     * @param  array<string, string>  $with  of the environment of its processes
     * @param  string|null  $dump  packed data of an older version, instead of an empty shop
     */
    public function __construct(
        string $name,
        bool $serve = false,
        ?string $port = null,
        ?string $passwordFile = null,
        private readonly array $with = [],
        private readonly ?string $dump = null,
    ) {
        $this->database = Instance::database($name);
        $this->passwordFile = $passwordFile ?? (string) getenv('DB_PASSWORD_FILE');
        $this->setClock(self::MORNING);
        $this->port = $port ?? (string) (getenv('DB_PORT') ?: '33070');
        $this->db = $this->connected();
        $this->db->exec("DROP DATABASE IF EXISTS `{$this->database}`");
        $this->db->exec("CREATE DATABASE `{$this->database}`");
        $this->db->exec("USE `{$this->database}`");
        $this->fill();
        (new Filesystem)->remove(getenv('PACE_STORAGE').'/app/live.json'); // of a shop before
        $this->webPort = Ports::free();
        $this->url = "http://127.0.0.1:{$this->webPort}";
        if ($serve) {
            $this->serve();
        }
    }

    /** After its database server was begun anew. */
    public function reconnect(): void
    {
        $this->db = $this->connected();
        $this->db->exec("USE `{$this->database}`");
    }

    private function connected(): \PDO
    {
        return new \PDO(
            "mysql:host=127.0.0.1;port={$this->port}",
            'keep_pace',
            trim((string) file_get_contents($this->passwordFile)),
            [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION],
        );
    }

    /** The first of a run is made as a shop is made; the others are copies of what it was then. */
    private function fill(): void
    {
        static $copy = null;
        if ($this->dump !== null) {
            $this->mariadb(['mariadb'], (string) gzdecode((string) file_get_contents($this->dump)));

            return;
        }
        if ($copy !== null) {
            $this->mariadb(['mariadb'], $copy);

            return;
        }
        $this->artisan('route:cache'); // as bin/start does
        $this->artisan('migrate', '--force');
        $this->artisan('pace:demo', '--people');
        $this->artisan('pace:import', 'demo');
        $copy = $this->mariadb(['mariadb-dump', '--triggers', '--routines', '--skip-dump-date']);
    }

    /** @param  non-empty-list<string>  $client */
    private function mariadb(array $client, ?string $input = null): string
    {
        $process = new Process(
            [
                array_shift($client),
                '--no-defaults',
                '--host=127.0.0.1',
                "--port={$this->port}",
                '--user=keep_pace',
                ...$client,
                $this->database,
            ],
            env: ['MYSQL_PWD' => trim((string) file_get_contents($this->passwordFile))],
            input: $input,
            timeout: 120,
        );

        return $process->mustRun()->getOutput();
    }

    public function artisan(string ...$command): string
    {
        $process = $this->process('-d', 'auto_prepend_file='.__DIR__.'/clock.php', 'artisan', ...$command);
        $process->mustRun();

        return $process->getOutput();
    }

    /**
     * Starts a PHP script in the application, in a process of its own: with $shop, and the names that such scripts use.
     *
     * @param  array<string, int|string>  $with  variables it finds
     */
    public function php(string $code, array $with = []): Process
    {
        foreach ($with as $name => $value) {
            $code = "\${$name} = ".var_export($value, true).";\n{$code}";
        }
        $boot = <<<'PHP'
            use App\Access\Role;
            use App\Actions\Bookings\ClosePeriod;
            use App\Books\Signed;
            use App\Actions\Cover\TieLine;
            use App\Actions\Demand\CancelLine;
            use App\Actions\Import\ImportFolder;
            use App\Actions\Orders\ChangeOrder;
            use App\Actions\Purchasing\Delivered;
            use App\Actions\Purchasing\LineToBuy;
            use App\Actions\Purchasing\RaisePurchases;
            use App\Actions\Purchasing\ReceiveDelivery;
            use App\Actions\Schedule\DateToHold;
            use App\Actions\Schedule\HoldPromise;
            use App\Planner\KeepUp;
            use App\Actions\Schedule\MoveStep;
            use App\Actions\Schedule\WhatIf;
            use App\Actions\Stock\ChangeCondition;
            use App\Actions\Shop\ReportStep;
            use App\Actions\Stock\CountBalance;
            use App\Actions\Stock\GoodsIn;
            use App\Actions\Stock\ScrapStock;
            use App\Actions\Stock\SweepBalances;
            use App\Actions\Usage\BookSlip;
            use App\Actions\Usage\IssueComponents;
            use App\Actions\Usage\ProposeSlip;
            use App\Actions\Usage\UseLine;
            use App\Models\Balance;
            use App\Models\Booking;
            use App\Models\Tie;
            use App\Models\CustomerOrder;
            use App\Models\CustomerOrderLine;
            use App\Models\Item;
            use App\Models\Lot;
            use App\Models\Order;
            use App\Models\OrderComponent;
            use App\Models\PurchaseLine;
            use Illuminate\Database\Events\TransactionCommitting;
            use Illuminate\Support\Facades\DB;
            use Illuminate\Support\Facades\Event;
            use KeepPace\Core\Planning\NoLongerFor;
            use KeepPace\Core\Quantity\TypedQuantity;
            use KeepPace\Core\Refusal;
            use KeepPace\Core\Refused;
            use KeepPace\Core\Scheduling\Plan\Put;
            use KeepPace\Core\Stock\Condition;
            use KeepPace\Core\Stock\ScrapClass;

            require "tests/Support/clock.php";
            $app = require "bootstrap/app.php";
            $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
            $shop = new Tests\Support\Shop;

            PHP;
        $process = $this->process('-r', $boot.$code);
        $process->start();

        return $this->processes[] = $process;
    }

    /** Waits until it is so, at most so many seconds. */
    public static function until(\Closure $is, int $seconds = 20): void
    {
        for ($i = 0; $i < $seconds * 20 && ! $is(); $i++) {
            usleep(50_000);
        }
    }

    public function isPlanned(): bool
    {
        return $this->value('SELECT COUNT(*) FROM unplanned') === '0';
    }

    public function untilPlanned(): void
    {
        self::until($this->isPlanned(...));
        expect($this->isPlanned())->toBeTrue('bookings are left unplanned');
    }

    /** A planner that fell silent loses its lease in ten seconds; nobody waits for them here. */
    public function plannerIsSilent(): void
    {
        $this->db->exec('UPDATE planner SET until = NOW(3) - INTERVAL 1 SECOND');
    }

    /** A command that runs on, until it is ended with the shop. */
    public function command(string ...$command): Process
    {
        $process = $this->process('-d', 'auto_prepend_file='.__DIR__.'/clock.php', 'artisan', ...$command);
        $process->start();

        return $this->processes[] = $process;
    }

    public function value(string $sql): string
    {
        $statement = $this->db->query($sql);

        return $statement === false ? '' : (string) $statement->fetchColumn();
    }

    public function end(): void
    {
        foreach ($this->processes as $process) {
            $process->stop(2);
        }
        $this->db->exec("DROP DATABASE IF EXISTS `{$this->database}`");
    }

    public function serve(): void
    {
        $this->web = $this->process(
            '-d',
            'opcache.file_cache_only=0',
            '-S',
            "127.0.0.1:{$this->webPort}",
            '-t',
            'public',
            'tests/Support/router.php',
        );
        $this->web->setTimeout(null);
        $this->web->start();
        $this->processes[] = $this->web;
        for ($i = 0; $i < 500 && ! Ports::answers($this->webPort); $i++) {
            usleep(10_000);
        }
    }

    public function stopServing(): void
    {
        $this->web?->stop(2);
    }

    /** From the next process on it is this moment of the plant's clock. */
    public function setClock(string $at): void
    {
        $this->clock = (new \DateTimeImmutable($at, new \DateTimeZone('Europe/Dublin')))->getTimestamp() - time();
    }

    /** PHP that keeps what it compiled, for the many short ones of a test. */
    private function process(string ...$arguments): Process
    {
        return new Process(['php', ...Instance::OPCACHE, ...$arguments], self::ROOT, $this->env(), null, 120);
    }

    /** @return array<string, string> */
    private function env(): array
    {
        return [
            'DB_DATABASE' => $this->database,
            'DB_PORT' => $this->port,
            'DB_PASSWORD_FILE' => $this->passwordFile,
            'APP_ENV' => 'production',
            'APP_DEBUG' => 'false',
            'APP_ROUTES_CACHE' => getenv('PACE_STORAGE').'/framework/routes.php',
            'QUEUE_CONNECTION' => 'sync',
            'BCRYPT_ROUNDS' => '4', // of passwords that are no secret
            'CACHE_STORE' => 'database',
            'SESSION_DRIVER' => 'database',
            'PACE_TEST_CLOCK' => (string) $this->clock,
            // years, since the browser's clock is the machine's and it drops a cookie that has run out
            'SESSION_MINUTES' => '5256000',
            ...$this->with,
        ];
    }
}
