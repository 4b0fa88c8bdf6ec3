<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

/** What a face of a pattern is for. */
enum FaceRole: string
{
    /** It is seen, or stands, when the thing is finished. */
    case Panel = 'panel';
    /** It closes over what lies on a panel. */
    case Flap = 'flap';
    /** It gets glue and is hidden. */
    case Tab = 'tab';
    /** A second layer folded inside a wall. */
    case Hem = 'hem';
    /** It gives depth between a panel and what closes it. */
    case Gusset = 'gusset';
    /** It stands up from a base. */
    case Wall = 'wall';
    /** One half of what opens like a book. */
    case Cover = 'cover';
    /** It holds something against a cover. */
    case Pocket = 'pocket';

    /** Hidden or glued over when it is finished: nothing is laid on it. */
    public function isHidden(): bool
    {
        return in_array($this, [self::Tab, self::Hem, self::Gusset], true);
    }
}
