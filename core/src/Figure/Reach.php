<?php

declare(strict_types=1);

namespace Gimbo\Core\Figure;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Setting\MeasureKind;

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

    private static function of(Figures $figures): ?Fit
    {
        $reach = $figures->request->tools->reach;
        if ($reach === null) {
            return null;
        }
        [$furthest, $of] = [Length::zero(), null];
        foreach ($figures->pieces as $piece) {
            foreach ($piece->measures as $measure) {
                if ($measure->kind !== MeasureKind::Cut && $measure->at->isMoreThan($furthest)) {
                    [$furthest, $of] = [$measure->at, $piece->id];
                }
            }
        }

        return $of === null ? null : new Fit(self::ID, $furthest, $reach, $furthest, Length::zero(), MakeUp::of(), piece: $of);
    }
}
