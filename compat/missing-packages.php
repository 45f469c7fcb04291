<?php

/**
 * Stand-ins for the few names of packages that composer.json replaces and
 * that the framework still speaks of. See docs/decisions/0002-replaced-packages.md.
 */

namespace {
    if (! function_exists('array_first')) {
        /**
         * @param  array<mixed>  $array
         */
        function array_first(array $array): mixed
        {
            return $array === [] ? null : $array[array_key_first($array)];
        }
    }

    if (! function_exists('array_last')) {
        /**
         * @param  array<mixed>  $array
         */
        function array_last(array $array): mixed
        {
            return $array === [] ? null : $array[array_key_last($array)];
        }
    }

    if (! function_exists('get_error_handler')) {
        function get_error_handler(): ?callable
        {
            $handler = set_error_handler(null);
            restore_error_handler();

            return $handler;
        }
    }

    if (! function_exists('get_exception_handler')) {
        function get_exception_handler(): ?callable
        {
            $handler = set_exception_handler(null);
            restore_exception_handler();

            return $handler;
        }
    }
}

namespace Symfony\Component\Clock {
    use DateTimeImmutable;
    use DateTimeZone;
    use Psr\Clock\ClockInterface as PsrClock;

    if (! interface_exists(ClockInterface::class)) {
        interface ClockInterface extends PsrClock
        {
            public function sleep(float|int $seconds): void;

            public function withTimeZone(DateTimeZone|string $timezone): static;
        }
    }

    if (! class_exists(NativeClock::class)) {
        final class NativeClock implements ClockInterface
        {
            private DateTimeZone $timezone;

            public function __construct(DateTimeZone|string|null $timezone = null)
            {
                $this->timezone = $timezone instanceof DateTimeZone ? $timezone : new DateTimeZone($timezone ?? date_default_timezone_get());
            }

            public function now(): DateTimeImmutable
            {
                return new DateTimeImmutable('now', $this->timezone);
            }

            public function sleep(float|int $seconds): void
            {
                usleep((int) round($seconds * 1_000_000));
            }

            public function withTimeZone(DateTimeZone|string $timezone): static
            {
                return new self($timezone);
            }
        }
    }
}
