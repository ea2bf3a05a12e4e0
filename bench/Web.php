<?php

namespace Bench;

use Symfony\Component\Process\Process;

/** PHP alone, with JIT as bin/start has it, and one person logged in; each answer with the milliseconds it took. */
final class Web
{
    private readonly Process $server;

    private readonly \CurlHandle $curl;

    private readonly string $base;

    private readonly string $jar;

    private string $csrf = '';

    /**
     * @param  string  $router  that of the tests, or the one with the empty page
     * @param  string|null  $root  of another checkout; null = of this one
     */
    public function __construct(string $router, string $login, ?string $root = null)
    {
        $port = random_int(20000, 40000);
        $this->base = "http://127.0.0.1:{$port}";
        $this->server = new Process(
            [
                'php',
                '-d',
                'opcache.enable_cli=1',
                '-d',
                'opcache.jit_buffer_size=64M',
                '-d',
                'opcache.jit=tracing',
                '-d',
                'max_input_vars=30000',
                '-d',
                'memory_limit=256M',
                '-S',
                "127.0.0.1:{$port}",
                '-t',
                'public',
                $router,
            ],
            $root ?? dirname(__DIR__),
            [
                'APP_ENV' => 'production',
                'APP_DEBUG' => 'false',
                'DB_DATABASE' => getenv('DB_DATABASE'),
            ],
            null,
            null,
        );
        $this->server->start();
        usleep(800_000);
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'bench');
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => $this->jar,
            CURLOPT_COOKIEJAR => $this->jar,
            CURLOPT_TIMEOUT => 60,
        ]);
        $this->get('/login');
        $this->send('POST', '/login', ['login' => $login, 'password' => 'pace']);
        $this->get('/');
    }

    /** @return array{float, string} milliseconds and page */
    public function get(string $path): array
    {
        curl_setopt_array($this->curl, [
            CURLOPT_HTTPGET => true,
            CURLOPT_CUSTOMREQUEST => 'GET',
            CURLOPT_URL => $this->base.$path,
        ]);
        [$taken, $page] = $this->ask($path, 200);
        if (preg_match('/name="_token" value="([^"]+)"/', $page, $token) === 1) {
            $this->csrf = $token[1];
        }

        return [$taken, $page];
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array{float, string} milliseconds until the answer sends one on, and where to
     */
    public function send(string $method, string $path, array $data): array
    {
        curl_setopt_array($this->curl, [
            CURLOPT_POST => true,
            CURLOPT_CUSTOMREQUEST => 'POST',
            CURLOPT_URL => $this->base.$path,
            CURLOPT_POSTFIELDS => http_build_query(['_token' => $this->csrf, '_method' => $method, ...$data]),
        ]);

        return $this->ask($path, 302);
    }

    public function end(): void
    {
        $this->server->stop(2);
        unlink($this->jar);
    }

    /** @return array{float, string} */
    private function ask(string $path, int $wanted): array
    {
        $began = hrtime(true);
        $page = (string) curl_exec($this->curl);
        $taken = (hrtime(true) - $began) / 1e6;
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);

        return $status === $wanted
            ? [$taken, $page]
            : throw new \RuntimeException("{$path}: {$status} ".substr(strip_tags($page), 0, 300));
    }
}
