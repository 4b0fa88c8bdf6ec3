<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

/** What a maker has in her hand when she starts: what something is made for. */
enum HeldKind: string
{
    case Card = 'card';
    case ThickCard = 'thick-card';
    case Set = 'set';
    case Packet = 'packet';
    /** Nothing yet: the card itself is to be made. */
    case CardToMake = 'card-to-make';

    /**
     * An ordinary one of it, to start from; common practice, no source.
     *
     * @return array{width: string, height: string, thickness: string, count: int} as a spec's `holds`
     */
    public function usual(): array
    {
        [$width, $height, $thickness, $count] = match ($this) {
            self::Card => ['5 1/2 in', '4 1/4 in', '1 mm', 1],
            self::ThickCard => ['5 1/2 in', '4 1/4 in', '1/2 in', 1],
            self::Set => ['5 3/4 in', '4 3/8 in', '4.5 mm', 8],
            self::Packet => ['4 in', '3 in', '3/4 in', 1],
            self::CardToMake => ['5 1/2 in', '4 1/4 in', '1 mm', 1],
        };

        return ['width' => $width, 'height' => $height, 'thickness' => $thickness, 'count' => $count];
    }
}
