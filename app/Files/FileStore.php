<?php

namespace App\Files;

use Illuminate\Support\Facades\Storage;

/** Where files lie: outside of what the web serves, each once, by the hash of what is in it. */
final class FileStore
{
    /** @return string its hash */
    public function put(string $content): string
    {
        $hash = hash('sha256', $content);
        Storage::disk('local')->exists(self::at($hash)) ?: Storage::disk('local')->put(self::at($hash), $content);

        return $hash;
    }

    /** Null where it is gone. */
    public function get(string $hash): ?string
    {
        return Storage::disk('local')->exists(self::at($hash)) ? Storage::disk('local')->get(self::at($hash)) : null;
    }

    private static function at(string $hash): string
    {
        return 'files/'.substr($hash, 0, 2)."/{$hash}";
    }
}
