<?php

declare(strict_types=1);

namespace App\HandOn;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Exchange\StepPicture;
use Gimbo\Core\Telling\ByTool;

/** The steps' pictures, as the work is done piece by piece or tool by tool, for the hand that does it. */
final class StepPictures
{
    public const ORDERS = ['by-piece', 'by-tool'];

    /** @return list<string> of SVG, by the step's number */
    public static function of(Design $design, string $order, bool $isLeftHanded): array
    {
        $pictures = StepPicture::all($design, $order === 'by-tool' ? ByTool::order($design) : array_keys($design->steps()), $isLeftHanded);
        ksort($pictures);

        return array_values($pictures);
    }
}
