<?php

declare(strict_types=1);

namespace App\Http;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Spec\Change;

/** Changes as they come over the wire: `{"at": pointer, "to": value}` or `{"at": pointer, "nudge": steps}`. */
final class ChangeList
{
    private const MOST_CHANGES = 20;

    private const MOST_NUDGES = 1000;

    /**
     * @return non-empty-list<Change>
     *
     * @throws InvalidDocument at the change that is none
     */
    public static function read(mixed $rows): array
    {
        if (! is_array($rows) || $rows === [] || count($rows) > self::MOST_CHANGES) {
            throw InvalidDocument::at('/changes', Reason::of('edit.changes', ['most' => self::MOST_CHANGES]));
        }
        $changes = [];
        foreach (array_values($rows) as $i => $row) {
            $at = is_array($row) ? ($row['at'] ?? null) : null;
            if (! is_array($row) || ! is_string($at)) {
                throw InvalidDocument::at("/changes/$i", Reason::of('edit.changes', ['most' => self::MOST_CHANGES]));
            }
            $nudge = $row['nudge'] ?? null;
            $changes[] = is_int($nudge) && abs($nudge) <= self::MOST_NUDGES ? Change::nudge($at, $nudge) : Change::set($at, $row['to'] ?? null);
        }

        return $changes;
    }
}
