<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

/** The tool a measure is set on; a trimmer with its cutting or with its scoring blade. */
enum ToolKind: string
{
    case Trimmer = 'trimmer';
    case TrimmerScore = 'trimmer-score';
    case ScoringBoard = 'scoring-board';
    case PunchBoard = 'punch-board';
}
