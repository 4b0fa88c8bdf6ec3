<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

/** The tool a measure is set on. */
enum ToolKind: string
{
    case Trimmer = 'trimmer';
    case ScoringBoard = 'scoring-board';
    case PunchBoard = 'punch-board';
}
