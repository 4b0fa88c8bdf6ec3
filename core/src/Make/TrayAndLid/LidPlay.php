<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\TrayAndLid;

use Gimbo\Core\Fit\Band;
use Gimbo\Core\Measure\Length;

/**
 * How a lid goes on, by its play at the tightest place: where its corner tabs lie between it and the tray. Common practice, no
 * source. Paper gives a little: a doubled lid may be 0.2 mm too tight there.
 */
final class LidPlay
{
    public static function of(bool $isDoubled): Band
    {
        $tenths = fn (int $tenths): Length => Length::mm($tenths, 10);

        return $isDoubled
            ? new Band($tenths(-2), $tenths(2), [['very-snug', Length::ofTicks(-1)], ['snug', $tenths(8)], ['loose', $tenths(14)]], 'binds', 'falls-off')
            : new Band($tenths(0), $tenths(20), [['very-snug', $tenths(5)], ['snug', $tenths(12)], ['easy', $tenths(24)], ['loose', $tenths(30)]], 'binds', 'falls-off');
    }
}
