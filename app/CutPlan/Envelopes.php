<?php

declare(strict_types=1);

namespace App\CutPlan;

use App\Models\Entry;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Settle\Enveloped;
use Gimbo\Core\Settle\Extents;

/** Envelopes that were bought: how many a plan wants of them, how many are taken, and what has how much room in them. */
final readonly class Envelopes
{
    /**
     * @param int $left how many are still to be taken
     * @param array<string, Enveloped> $rooms the room each design has in it, by its name
     */
    private function __construct(public Entry $entry, public int $wanted, public int $left, public int $there, public array $rooms)
    {
    }

    /** @return list<self> in the order in which they are asked for */
    public static function of(Planned $planned): array
    {
        $taken = [];
        foreach ($planned->cuts as $cut) {
            $taken[$cut->paper] = ($taken[$cut->paper] ?? 0) + ($cut->pieces[$cut->paper] ?? 0);
        }
        $all = [];
        foreach ($planned->envelopes as $entry) {
            $items = array_filter($planned->asked->items, fn (array $item) => $item['envelope'] === $entry->id);
            $wanted = array_sum(array_column($items, 'count'));
            $rooms = [];
            foreach ($items as ['design' => $id]) {
                isset($planned->sized[$id]) && $rooms[$planned->designs[$id]->name] = Enveloped::of(self::size($entry), $planned->sized[$id]->closed);
            }
            $count = $entry->entry['count'] ?? 0;
            $all[] = new self($entry, $wanted, max(0, $wanted - ($taken[$entry->id] ?? 0)), is_int($count) ? $count : 0, $rooms);
        }

        return $all;
    }

    /**
     * @param array<Entry> $entries
     * @return list<string> ids of those that something so large goes into
     */
    public static function holding(array $entries, Extents $closed): array
    {
        return array_values(array_map(fn (Entry $entry): string => $entry->id, array_filter($entries, fn (Entry $entry) => ! Enveloped::of(self::size($entry), $closed)->isTooLarge())));
    }

    /** Packs to be bought, so that none is missing. */
    public function packs(): int
    {
        $pack = $this->entry->entry['pack'] ?? 1;

        return (int) ceil(max(0, $this->left - $this->there) / max(1, is_int($pack) ? $pack : 1));
    }

    public function isTight(): bool
    {
        return array_filter($this->rooms, fn (Enveloped $room) => $room->isTight()) !== [];
    }

    private static function size(Entry $entry): Rectangle
    {
        [$width, $height] = array_map(fn (string $side): Length => LengthParser::parse(is_string($entry->entry[$side] ?? null) ? $entry->entry[$side] : '1 mm'), ['width', 'height']);

        return new Rectangle($width, $height);
    }
}
