<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Tool\Tools;

/** By what the arrow keys move a length. */
enum Moved
{
    /** A step of the trimmer. */
    case Cut;
    /** A thirty-second of an inch, half a millimetre. */
    case Thin;
    /** A sixty-fourth of an inch, half a millimetre. */
    case Fine;
    /** A hundredth of a millimetre. */
    case Caliper;

    public function step(Tools $tools, System $system): Step
    {
        $isImperial = $system === System::Imperial;

        return match ($this) {
            self::Cut => $tools->cut,
            self::Thin => Step::of($isImperial ? Length::inches(1, 32) : Length::mm(1, 2)),
            self::Fine => Step::of($isImperial ? Length::inches(1, 64) : Length::mm(1, 2)),
            self::Caliper => Step::of(Length::mm(1, 100)),
        };
    }
}
