<?php

namespace Tests\Support;

/** Whether something listens on a loopback port, asked without a warning when nothing does. */
final class Ports
{
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
