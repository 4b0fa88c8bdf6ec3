<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;

/** The smallest step each tool can be set to, and how far inside the edge the punch board's notch ends. */
final readonly class Tools
{
    /** @param ?Length $reach the largest reading the tools have; null where nobody has said */
    public function __construct(
        public Step $cut,
        public Step $score,
        public Step $punch,
        public Length $notch,
        public ?Length $reach = null,
    ) {
    }

    /** Common practice, no source: the graduations and the notch depth that most tools of a system have. */
    public static function usual(System $system): self
    {
        return match ($system) {
            System::Imperial => new self(
                Step::of(Length::inches(1, 16)), Step::of(Length::inches(1, 8)), Step::of(Length::inches(1, 8)), Length::inches(44, 100),
            ),
            System::Metric => new self(
                Step::of(Length::mm(1)), Step::of(Length::mm(1)), Step::of(Length::mm(1)), Length::mm(11),
            ),
        };
    }
}
