<?php

namespace App\Http;

use App\Models\Person;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Slows down who tries passwords: by the account that was found, however its name was written, and by the address
 * tried from. Stations of one shop may share an address, so that one is far looser.
 */
final readonly class LoginBrake
{
    private const BY_ACCOUNT = 8;

    private const BY_ADDRESS = 60;

    public function __construct(private ?Person $user, private string $address)
    {
    }

    /** To wait; 0 = one may try. */
    public function seconds(): int
    {
        $wait = 0;
        foreach ($this->limits() as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                $wait = max($wait, RateLimiter::availableIn($key), 1);
            }
        }

        return $wait;
    }

    public function press(): void
    {
        foreach (array_keys($this->limits()) as $key) {
            RateLimiter::hit($key);
        }
    }

    public function release(): void
    {
        $this->user === null ?: RateLimiter::clear("login:account:{$this->user->id}");
    }

    /** @return array<string, int> tries by key */
    private function limits(): array
    {
        $limits = ["login:address:{$this->address}" => self::BY_ADDRESS];

        return $this->user === null ? $limits : [...$limits, "login:account:{$this->user->id}" => self::BY_ACCOUNT];
    }
}
