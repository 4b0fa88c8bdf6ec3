<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;

/** What each tool can be set to, how far it reaches, and how far inside the edge the punch board's notch ends. */
final readonly class Tools
{
    public const READ_ON = 'read-on';

    public const EACH_EDGE = 'each-edge';

    /**
     * @param ?Length $reach the largest reading the tools have, where a tool's own is not known; null where nobody has said
     * @param ?Step $trimmerScore of the trimmer's scoring blade; null where it has none
     * @param array<string, Length> $reaches of single tools, by ToolKind's value
     * @param ?Length $slant how far the ruler reaches that slanted cuts are set by
     * @param bool $isReadFromLeftOnly whether the punch board's ruler runs one way only
     * @param Punches $punches what cuts one size only
     * @param bool $readsOn whether scores are read on from the edge that lies at the fence, where they fall on the step from there
     */
    public function __construct(
        public Step $cut,
        public Step $score,
        public Step $punch,
        public Length $notch,
        public ?Length $reach = null,
        public ?Step $trimmerScore = null,
        private array $reaches = [],
        private ?Length $slant = null,
        public bool $isReadFromLeftOnly = false,
        public bool $readsOn = true,
        public Punches $punches = new Punches,
    ) {
    }

    public function step(ToolKind $tool): Step
    {
        return match ($tool) {
            ToolKind::Trimmer => $this->cut,
            ToolKind::TrimmerScore => $this->trimmerScore ?? $this->score,
            ToolKind::ScoringBoard => $this->score,
            ToolKind::PunchBoard => $this->punch,
        };
    }

    /** The largest reading of a tool; null where nobody has said, and for cuts unless the trimmer's own is said. */
    public function reachOf(ToolKind $tool): ?Length
    {
        return $this->reaches[$tool->value] ?? ($tool === ToolKind::Trimmer ? null : $this->reach);
    }

    /** The largest reading of the ruler that slanted cuts are set by. */
    public function slantReach(): ?Length
    {
        return $this->slant ?? $this->reach;
    }

    /** @return array<string, Length> the reaches that were said of single tools, by ToolKind's value */
    public function ownReaches(): array
    {
        return $this->reaches;
    }

    public function ownSlantReach(): ?Length
    {
        return $this->slant;
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
