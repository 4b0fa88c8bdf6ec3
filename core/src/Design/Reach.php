<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;

/** Whether the tools reach as far as every setting asks, where their reach is known. The same for every make. */
final class Reach
{
    public const ID = 'within-reach';

    public static function of(Design $design): ?Fit
    {
        $reach = $design->request->tools->reach;
        if ($reach === null) {
            return null;
        }
        [$furthest, $of] = [Length::zero(), null];
        foreach ($design->pieces as $piece) {
            foreach ($piece->measures as $measure) {
                if ($measure->kind !== MeasureKind::Cut && $measure->at->isMoreThan($furthest)) {
                    [$furthest, $of] = [$measure->at, $piece->id];
                }
            }
        }

        return $of === null ? null : new Fit(self::ID, $furthest, $reach, $furthest, Length::zero(), MakeUp::of(), piece: $of);
    }
}
