<?php

namespace Tests\Support;

/** Somebody at a page without a browser: forms sent with their mark, answers read. */
final class Page
{
    private readonly \CurlHandle $curl;

    public function __construct(private readonly string $base)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => '',
            CURLOPT_TIMEOUT => 20,
        ]);
    }

    public function get(string $path): string
    {
        curl_setopt_array($this->curl, [
            CURLOPT_HTTPGET => true,
            CURLOPT_CUSTOMREQUEST => 'GET',
            CURLOPT_URL => $this->base.$path,
        ]);

        return (string) curl_exec($this->curl);
    }

    /** @return array<string, string> what it would send back, as it was given */
    public function cookies(): array
    {
        $cookies = [];
        foreach ((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $line) {
            $parts = explode("\t", (string) $line);
            $cookies[$parts[5]] = $parts[6];
        }

        return $cookies;
    }

    /**
     * Sends a form of the page at that address.
     *
     * @param  array<string, string|list<string>>  $fields
     */
    public function send(string $path, array $fields): string
    {
        preg_match('/name="_token" value="([^"]+)"/', $this->get($path), $mark);
        curl_setopt_array($this->curl, [
            CURLOPT_POST => true,
            CURLOPT_CUSTOMREQUEST => 'POST',
            CURLOPT_URL => $this->base.$path,
            CURLOPT_POSTFIELDS => http_build_query(['_token' => $mark[1] ?? '', ...$fields]),
        ]);

        return (string) curl_exec($this->curl);
    }
}
