<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Measure\System;

/** The smallest step each tool can be set to, and how far inside the edge the punch board's notch ends. */
final readonly class Tools
{
    /**
     * @param ?Length $reach the largest reading the tools have; null where nobody has said
     * @param array<string, Length> $moved settings that are not where they would be rounded to, and by how much, by piece and name
     * @param string $piece the piece they are set for; nothing where a design has only one
     */
    public function __construct(
        public Step $cut,
        public Step $score,
        public Step $punch,
        public Length $notch,
        public ?Length $reach = null,
        private array $moved = [],
        private string $piece = '',
    ) {
    }

    /** The same tools, set for one of several pieces. */
    public function for(string $piece): self
    {
        return new self($this->cut, $this->score, $this->punch, $this->notch, $this->reach, $this->moved, $piece);
    }

    /** The same tools with one setting missed, or moved on purpose. */
    public function withMoved(string $piece, string $setting, Length $by): self
    {
        return new self($this->cut, $this->score, $this->punch, $this->notch, $this->reach, ["$piece/$setting" => $by, "/$setting" => $by] + $this->moved, $this->piece);
    }

    /** The same tools, each setting where it is rounded to. */
    public function unmoved(): self
    {
        return new self($this->cut, $this->score, $this->punch, $this->notch, $this->reach);
    }

    /** How far a setting is from where it would be rounded to; nothing for all that were not moved. */
    public function moved(string $setting): Length
    {
        if ($this->moved === []) {
            return Length::zero();
        }

        return $this->moved["$this->piece/$setting"] ?? Length::zero();
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
