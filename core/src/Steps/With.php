<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Tool\ToolKind;

/** What a step is done with: a tool that is set, or one that is only held. */
enum With: string
{
    case Trimmer = 'trimmer';
    case TrimmerScore = 'trimmer-score';
    case ScoringBoard = 'scoring-board';
    case PunchBoard = 'punch-board';
    case Scissors = 'scissors';
    case CornerPunch = 'corner-punch';
    case CirclePunch = 'circle-punch';
    case WindowDie = 'window-die';
    case EdgePunch = 'edge-punch';
    case EmbossingPlate = 'embossing-plate';
    case Pencil = 'pencil';
    case BoneFolder = 'bone-folder';
    /** Holds at once and does not forgive. */
    case Tape = 'tape';
    /** Leaves time to square a corner. */
    case WetGlue = 'wet-glue';

    public static function tool(ToolKind $tool): self
    {
        return self::from($tool->value);
    }

    /** Whether it has a scale that is set, or is only held. */
    public function isSet(): bool
    {
        return ToolKind::tryFrom($this->value) !== null;
    }
}
