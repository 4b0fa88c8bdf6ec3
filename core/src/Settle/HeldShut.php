<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Geometry\Point;

/** How a top flap is held shut: by what, where on the flat sheet, how large. */
final readonly class HeldShut
{
    /** The fit that says whether there is paper for it. */
    public const FIT = 'closure-holds';

    /**
     * @param string $kind dot, string, slit or catch
     * @param string $piece that has the flap
     * @param Point $onFlap on the flat sheet
     * @param ?string $face what lies under it when it is shut; null where it cannot be held there
     * @param ?Point $onBody on that face, on the flat sheet
     * @param float $sizeMm across a dot or a disc; 0 for a slit
     * @param float $slitMm how long the slit for a tucked flap is; 0 for the others
     * @param ?array{Point, Point} $slit its ends on the flat sheet
     * @param Fit $fit whether there is paper for it
     */
    public function __construct(
        public string $kind,
        public string $piece,
        public Point $onFlap,
        public ?string $face,
        public ?Point $onBody,
        public float $sizeMm,
        public float $slitMm,
        public ?array $slit,
        public Fit $fit,
    ) {
    }
}
