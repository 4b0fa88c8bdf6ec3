<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Geometry\Point;

/** A closed line round a part of a sheet, corner by corner; arcs go on from the corner before them. */
final readonly class Ring
{
    /** @var non-empty-list<Point> its vertices, those of arcs too */
    public array $points;

    /** @param non-empty-list<Spot|Arc> $parts the first a corner */
    private function __construct(public array $parts)
    {
        $points = [$this->corners()[0]->is];
        foreach (array_slice($parts, 1) as $part) {
            array_push($points, ...($part instanceof Spot ? [$part->is] : $part->points($points[count($points) - 1])));
        }
        $this->points = $points;
    }

    public static function of(Spot|Arc ...$parts): self
    {
        $parts = array_values($parts);
        ($parts[0] ?? null) instanceof Spot || throw new \LogicException('A ring begins at a corner.');

        return new self($parts);
    }

    /** @return list<Spot> its corners, the ends of arcs too */
    public function corners(): array
    {
        return array_map(fn (Spot|Arc $part) => $part instanceof Arc ? $part->to : $part, $this->parts);
    }

    /** @return list<Arc> */
    public function arcs(): array
    {
        return array_values(array_filter($this->parts, fn (Spot|Arc $part) => $part instanceof Arc));
    }
}
