<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\StraightEnvelope;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Turning;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\Waste;

/** How a flap ends: straight, tapered by so much on each side, or with its corners rounded; all a hair inside the scores beside it. */
final readonly class FlapEnd
{
    public const TAPERED = 'tapered';

    public const STRAIGHT = 'straight';

    public const ROUNDED = 'rounded';

    private const CHORDS = 8;

    /**
     * @param float $relief mm from the scores beside it
     * @param float $by how far from those the tapered end begins, or the radius; 0 where it is straight
     */
    private function __construct(private string $kind, private float $relief, private float $by)
    {
    }

    /** @return list<Row> */
    public static function options(string $end): array
    {
        return [
            Row::choice($end, [self::TAPERED, self::STRAIGHT, self::ROUNDED]),
            Row::length("{$end}Taper")->onlyWith([$end], self::TAPERED),
            Row::length("{$end}Radius")->onlyWith([$end], self::ROUNDED),
        ];
    }

    /**
     * About 4 mm of taper, 1/4 in or 6 mm of radius: common practice, no source.
     *
     * @return array<string, Length>
     */
    public static function chosen(SizingRequest $request, string $end): array
    {
        $options = $request->options;
        $cut = $request->tools->cut;

        return match ($options->choice($end)) {
            self::TAPERED => ["{$end}Taper" => $options->length("{$end}Taper") ?? Length::max($cut->nearest(Length::mm(4)), $cut->size)],
            self::ROUNDED => ["{$end}Radius" => $options->length("{$end}Radius") ?? ($request->system === System::Imperial ? Length::inches(1, 4) : Length::mm(6))],
            default => [],
        };
    }

    /**
     * @param float $base how long its fold is, mm
     * @param float $out how far it reaches, mm
     */
    public static function of(SizingRequest $request, string $end, float $relief, float $base, float $out): self
    {
        $asked = array_values(self::chosen($request, $end))[0] ?? null;
        $most = Length::atMost(min($base / 4, $out / 3));
        if ($asked === null) {
            return new self(self::STRAIGHT, $relief, 0.0);
        }
        // What was asked for, if the flap has it; else the next step that it has.
        $by = ($asked->isMoreThan($most) ? $request->tools->cut->down($most) : $asked)->toMillimetres();

        return $by > $relief ? new self($request->options->choice($end), $relief, $by) : new self(self::STRAIGHT, $relief, 0.0);
    }

    /**
     * One corner of its end.
     *
     * @param Point $foot where the score beside it meets its fold
     * @param Point $in of length 1, along the fold to its other end
     * @param Point $out of length 1, from the fold to the end
     * @return list<Point> from the fold on to the end
     */
    public function outline(Point $foot, Point $in, Point $out, float $reach): array
    {
        $at = fn (float $along, float $away): Point => $foot->plus($in->times($along))->plus($out->times($away));
        $start = $at($this->relief, 0.0);
        if ($this->kind !== self::ROUNDED) {
            return [$start, $at($this->kind === self::TAPERED ? $this->by : $this->relief, $reach)];
        }
        $from = $at($this->relief, $reach - $this->by);
        // From beside the flap to its end, about a centre inside it.
        $way = $in->times(-1)->cross($out) > 0 ? 90.0 : -90.0;

        return [$start, $from, ...Turning::about($at($this->relief + $this->by, $reach - $this->by), $from, $way, self::CHORDS)];
    }

    /**
     * What comes off at one corner of its end, once the sheet's corner is out.
     *
     * @param string $beside the score beside it
     * @param string $fold the score it is folded at
     * @param string $in the edge towards which it lies from the score beside it
     * @param string $end the edge at which it ends
     * @return list<AwayOp>
     */
    public function away(Bench $bench, string $beside, string $fold, string $in, string $end): array
    {
        $relief = $bench->beside($beside, $this->relief, $in);
        if ($this->kind === self::STRAIGHT) {
            return [];
        }
        if ($this->kind === self::TAPERED) {
            return [$bench->away(Waste::Taper, $bench->at($relief, $fold), $bench->at($relief, $end), $bench->at($bench->beside($beside, $this->by, $in), $end))];
        }
        [$far, $deep] = [$bench->beside($beside, $this->relief + $this->by, $in), $bench->in($end, $this->by)];
        $from = $bench->at($far, $end);

        return [$bench->away(Waste::Round, $bench->at($relief, $end), $from, $bench->arc($from, $bench->at($far, $deep), $bench->at($relief, $deep), self::CHORDS))];
    }

    public function isStraight(): bool
    {
        return $this->kind === self::STRAIGHT;
    }

    public function isRound(): bool
    {
        return $this->kind === self::ROUNDED;
    }
}
