<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Tool\ToolKind;

/** Whether the tools reach as far as every setting asks, where their reach is known. The same for every make. */
final class Reach
{
    public const ID = 'within-reach';

    /** The same figures, with that fit where it can be told. */
    public static function checked(Figures $figures): Figures
    {
        $fit = self::of($figures);

        return $fit === null ? $figures : $figures->withFits([...$figures->fits, $fit]);
    }

    /** Whether a tool reaches every measure that is set on it. */
    public static function isWithin(Figures $figures, ToolKind $tool): bool
    {
        $reach = $figures->request->tools->reachOf($tool);
        foreach ($figures->pieces as $piece) {
            foreach ($piece->measures as $measure) {
                if ($reach !== null && $measure->tool === $tool && $measure->at->isMoreThan($reach)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** The measure for which the tool it is set on reaches least far. */
    private static function of(Figures $figures): ?Fit
    {
        $tools = $figures->request->tools;
        $worst = null;
        foreach ($figures->pieces as $piece) {
            foreach ($piece->measures as $measure) {
                $reach = $measure->rail !== null ? $tools->slantReach() : $tools->reachOf($measure->tool);
                $fit = $reach === null ? null : new Fit(self::ID, $measure->at, $reach, $measure->at, Length::zero(), MakeUp::of(), piece: $piece->id);
                if ($fit !== null && ($worst === null || $fit->slack()->isLessThan($worst->slack()))) {
                    $worst = $fit;
                }
            }
        }

        return $worst;
    }
}
