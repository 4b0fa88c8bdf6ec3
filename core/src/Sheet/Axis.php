<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

/** Along what a measure is read. */
enum Axis: string
{
    case Width = 'width';
    case Height = 'height';
    /** Between the top left and the bottom right corner of the sheet. */
    case Diagonal = 'diagonal';
    /** Between the bottom left and the top right corner. */
    case CrossDiagonal = 'cross-diagonal';
    /** Along the side of the sheet that lies at the tool. */
    case Edge = 'edge';
}
