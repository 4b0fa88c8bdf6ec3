<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;

/** What a trimmer does to a sheet: how fine it is set, what its blade takes away, how long it cuts and how far it measures. */
final readonly class Trimmer
{
    /**
     * @param Length $kerf lost beside every cut; zero for a blade that only parts
     * @param ?Length $longest cut it makes; null where nobody has said
     * @param ?Length $measures how far from its rail it can be set; null where nobody has said
     */
    public function __construct(public Length $step, public Length $kerf, public ?Length $longest = null, public ?Length $measures = null)
    {
    }
}
