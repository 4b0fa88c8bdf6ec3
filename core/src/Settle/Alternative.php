<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Setting;

/** A setting one step away from where it is, and what that does to the fits. */
final readonly class Alternative
{
    /**
     * @param Setting $setting as it is planned
     * @param non-empty-list<int> $measures indexes into the piece's measures: those the setting is read for
     * @param int $steps 1 up, -1 down
     * @param Length $at where the setting would be
     * @param string $text what would be read
     * @param list<Fit> $changed the fits it changes, as they would be
     */
    public function __construct(public Setting $setting, public array $measures, public int $steps, public Length $at, public string $text, public array $changed)
    {
    }
}
