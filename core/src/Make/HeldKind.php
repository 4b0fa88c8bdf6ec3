<?php

declare(strict_types=1);

namespace Gimbo\Core\Make;

use Gimbo\Core\Measure\System;

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
    public function usual(System $system): array
    {
        $isMetric = $system === System::Metric;
        [$thickness, $count] = match ($this) {
            self::Card, self::CardToMake => ['1 mm', 1],
            self::ThickCard => [$isMetric ? '12 mm' : '1/2 in', 1],
            self::Set => ['4.2 mm', 10],
            self::Packet => [$isMetric ? '20 mm' : '3/4 in', 1],
        };
        [$width, $height] = match ($this) {
            self::Card, self::ThickCard, self::CardToMake => $isMetric ? ['148 mm', '105 mm'] : ['5 1/2 in', '4 1/4 in'],
            self::Set => $isMetric ? ['140 mm', '100 mm'] : ['5 1/4 in', '4 in'],
            self::Packet => $isMetric ? ['100 mm', '75 mm'] : ['4 in', '3 in'],
        };

        return ['width' => $width, 'height' => $height, 'thickness' => $thickness, 'count' => $count];
    }
}
