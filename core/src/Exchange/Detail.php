<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

/** How much of a design is written, from the least. */
enum Detail
{
    /** What to cut and set, the room, the fits: no pattern is made for it. */
    case Figures;
    /** With pattern and steps: for who counts, checks or makes it. */
    case Result;
    /** And how each piece is folded, moment by moment: for who draws it. */
    case Folding;
}
