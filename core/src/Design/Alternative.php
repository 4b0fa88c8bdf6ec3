<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;

/** A setting one step away from where it is, and what that does to the fits. */
final readonly class Alternative
{
    /**
     * @param int $steps 1 up, -1 down
     * @param Length $at where the setting would be
     * @param list<Fit> $changed the fits it changes, as they would be
     */
    public function __construct(public string $piece, public Setting $setting, public int $steps, public Length $at, public array $changed)
    {
    }

    /** @return list<Fit> those fits of a design that another has more or less room for */
    public static function changes(Design $from, Design $to): array
    {
        $before = [];
        foreach ($from->fits as $fit) {
            $before[$fit->id.$fit->piece] = $fit;
        }

        return array_values(array_filter($to->fits, function (Fit $fit) use ($before): bool {
            $same = $before[$fit->id.$fit->piece] ?? null;

            return $same === null || ! $same->slack()->equals($fit->slack());
        }));
    }
}
