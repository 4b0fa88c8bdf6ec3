<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Tool\ToolKind;

/**
 * One figure a tool is set to for a piece, however often and from whichever edge it is then read.
 *
 * Its name is its own among those of its piece and stays the same whatever the sizes: docs/settings.md lists them.
 */
final readonly class Setting
{
    /**
     * @param Length $exact what it would be if the tool had no steps
     * @param Length $at where it is set: a whole number of the tool's steps, unless it was given or missed
     * @param MakeUp $madeOf adds up to $at
     * @param Step $scale the one of the tool's scales that it is set on
     */
    public function __construct(
        public string $piece,
        public string $name,
        public ToolKind $tool,
        public Length $exact,
        public Length $at,
        public MakeUp $madeOf,
        public Step $scale,
    ) {
    }

    /** The same setting, set to something else than was planned. */
    public function movedTo(Length $at): self
    {
        return new self($this->piece, $this->name, $this->tool, $this->exact, $at, $this->madeOf->roundedTo($at), $this->scale);
    }

    /** As it reads on its scale; a figure of its kind, where another is given. */
    public function text(?Length $at = null): string
    {
        return LengthFormatter::in($this->scale->unit)->marked($at ?? $this->at);
    }
}
