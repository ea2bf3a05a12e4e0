<?php

namespace Tests\Support;

/** Loopback ports: one that is free, and whether something listens, asked without a warning when nothing does. */
final class Ports
{
    /** One nothing listens on; the system gives each only once in a while. */
    public static function free(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = $socket === false ? false : stream_socket_get_name($socket, false);
        if ($socket === false || $name === false) {
            throw new \RuntimeException('No port is free.');
        }
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    public static function answers(int $port): bool
    {
        set_error_handler(fn (): bool => true);
        try {
            $socket = stream_socket_client("tcp://127.0.0.1:{$port}", timeout: 1);
        } finally {
            restore_error_handler();
        }

        return $socket !== false && fclose($socket);
    }
}
