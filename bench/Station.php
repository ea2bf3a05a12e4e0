<?php

namespace Bench;

use Illuminate\Support\Facades\DB;

/** One station: a person logged in, with steps of its own to report pieces at, one piece each time. */
final class Station
{
    public static int $sent = 0;

    public static int $failed = 0;

    public readonly \CurlHandle $curl;

    private readonly string $jar;

    private string $csrf = '';

    /** @param  list<array{step: int, centre: int, todo: int}>  $work */
    private function __construct(private readonly string $base, private array $work)
    {
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'station');
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => $this->jar,
            CURLOPT_COOKIEJAR => $this->jar,
            CURLOPT_TIMEOUT => 60,
        ]);
        $this->look('/login');
        $this->csrf((string) curl_exec($this->curl));
        $this->post('/login', ['login' => 'operator', 'password' => 'pace']);
        curl_exec($this->curl);
        $this->page();
        $this->csrf((string) curl_exec($this->curl));
    }

    /** @return list<self> */
    public static function twenty(string $base): array
    {
        $steps = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->whereIn('o.state', ['released', 'running'])
            ->where('o.is_held', false)
            ->whereNotNull('s.work_centre_id')
            ->whereRaw('s.taken_in - s.good - s.scrap >= 1')
            ->orderBy('s.id')
            ->selectRaw('s.id AS step, s.work_centre_id AS centre, FLOOR(s.taken_in - s.good - s.scrap) AS todo')
            ->get();
        $work = array_fill(0, 20, []);
        foreach ($steps as $n => $step) {
            $work[$n % 20][] = [
                'step' => (int) $step->step,
                'centre' => (int) $step->centre,
                'todo' => (int) $step->todo,
            ];
        }

        return array_map(fn (array $of): self => new self($base, $of), $work);
    }

    public function hasWork(): bool
    {
        while ($this->work !== [] && $this->work[0]['todo'] < 1) {
            array_shift($this->work);
        }

        return $this->work !== [];
    }

    /** Makes the next report ready to be sent; not when it has reported all it had. */
    public function report(): bool
    {
        if (! $this->hasWork()) {
            return false;
        }
        $at = &$this->work[0];
        $at['todo']--;
        self::$sent++;
        $this->post("/order-steps/{$at['step']}/report", [
            'token' => 'bench-'.bin2hex(random_bytes(12)),
            'good' => '1',
            'scrap' => '0',
            'pass_on' => '0',
            'minutes' => '3',
        ]);

        return true;
    }

    /** Makes its page ready to be asked for. */
    public function page(): void
    {
        $this->look('/station/'.($this->work[0]['centre'] ?? 1));
    }

    public function answered(int $wanted): void
    {
        if (curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE) !== $wanted) {
            self::$failed++;
        }
    }

    private function look(string $path): void
    {
        curl_setopt_array($this->curl, [
            CURLOPT_HTTPGET => true,
            CURLOPT_CUSTOMREQUEST => 'GET',
            CURLOPT_URL => $this->base.$path,
        ]);
    }

    /** @param  array<string, string>  $fields */
    private function post(string $path, array $fields): void
    {
        curl_setopt_array($this->curl, [
            CURLOPT_POST => true,
            CURLOPT_CUSTOMREQUEST => 'POST',
            CURLOPT_URL => $this->base.$path,
            CURLOPT_POSTFIELDS => http_build_query(['_token' => $this->csrf, ...$fields]),
        ]);
    }

    private function csrf(string $page): void
    {
        if (preg_match('/name="_token" value="([^"]+)"/', $page, $token) === 1) {
            $this->csrf = $token[1];
        }
    }
}
