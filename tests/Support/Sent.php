<?php

namespace Tests\Support;

use Illuminate\Testing\TestResponse;
use Tests\FeatureTestCase;

/**
 * One request as anybody could send it, and what a person would be told: nothing broken, nothing swallowed, nothing
 * lost.
 */
final class Sent
{
    /** Words of the framework, not of the shop. */
    private const FRAMEWORK = '/\bfield (is|must|may|format)\b|The selected |The given data|Server Error|No query '
        .'results|SQLSTATE|Whoops|Page Expired|Method Not Allowed|not supported for route|Stack trace/i';

    public function __construct(
        public readonly string $method,
        public readonly string $uri,
        public readonly TestResponse $answer,
    ) {
    }

    /** @param  array<string, mixed>  $data */
    public static function by(FeatureTestCase $test, string $method, string $uri, array $data): self
    {
        session()->flush();

        return new self($method, $uri, $test->from('/bookings')->call(strtoupper($method), $uri, $data));
    }

    /** What is wrong with the answer; null = nothing. */
    public function fault(): ?string
    {
        $status = $this->answer->getStatusCode();
        $says = $this->says();

        return match (true) {
            $status >= 500 => "broke ({$status}): "
                .mb_substr((string) $this->answer->exception?->getMessage(), 0, 300),
            preg_match(self::FRAMEWORK, $says) === 1 => 'speaks in the words of the framework: '
                .mb_substr($says, 0, 200),
            $this->method !== 'get' && $status === 404 => 'lost the form to a page that says not found',
            default => null,
        };
    }

    /** Whether the deed was refused with a sentence. */
    public function isRefused(): bool
    {
        return session('errors') !== null
            || in_array($this->answer->getStatusCode(), [400, 403, 404, 405, 413, 422], true);
    }

    public function says(): string
    {
        $errors = session('errors');
        $said = $errors === null ? [] : $errors->getBag('default')->all();

        return implode(' ', $said).' '.(
            $this->answer->headers->get('content-type') === 'application/pdf'
                ? ''
                : strip_tags((string) $this->answer->getContent())
        );
    }
}
