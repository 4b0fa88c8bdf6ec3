<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests;

/** Specs for tests, short to write. */
final class Specs
{
    /**
     * A diagonal envelope for one thin item in paper of no thickness, so that only the geometry counts.
     *
     * @param array<string, mixed> $more
     * @return array<string, mixed>
     */
    public static function bare(string $width, string $height, string $clearance, array $more = []): array
    {
        return $more + [
            'make' => 'diagonal-envelope',
            'holds' => ['width' => $width, 'height' => $height, 'thickness' => '0.0001 mm'],
            'clearance' => ['width' => $clearance, 'height' => $clearance],
            'paper' => ['caliper' => '0 mm'],
        ];
    }

    /**
     * A random request that a maker might make, and some that none would.
     *
     * @return array<string, mixed>
     */
    public static function random(): array
    {
        $isImperial = mt_rand(0, 1) === 1;
        $length = fn (int $least, int $most): string => $isImperial
            ? mt_rand($least * 16, $most * 16).'/16 in'
            : mt_rand($least * 254, $most * 254) / 10 .' mm';
        $spec = [
            'make' => 'diagonal-envelope',
            'holds' => ['width' => $length(1, 14), 'height' => $length(1, 14), 'thickness' => mt_rand(1, 120) / 10 .' mm', 'count' => mt_rand(0, 4) === 0 ? mt_rand(2, 12) : 1],
            'paper' => ['caliper' => mt_rand(0, 60) / 100 .' mm'],
            'system' => $isImperial ? 'imperial' : 'metric',
            'options' => ['method' => mt_rand(0, 1) === 0 ? 'punch-board' : 'score-board'],
        ];
        if (mt_rand(0, 1) === 0) {
            $spec['clearance'] = ['width' => $length(0, 1), 'height' => $length(0, 1), 'depth' => mt_rand(0, 30) / 10 .' mm'];
        }
        if (mt_rand(0, 3) === 0) {
            $spec['tools'] = ['cut' => mt_rand(1, 40) / 10 .' mm', 'score' => mt_rand(1, 60) / 10 .' mm', 'punch' => mt_rand(1, 60) / 10 .' mm', 'notch' => mt_rand(40, 160) / 10 .' mm'];
        }
        if (mt_rand(0, 2) === 0) {
            $spec['options']['seam'] = mt_rand(30, 200) / 10 .' mm';
        }

        return $spec;
    }
}
