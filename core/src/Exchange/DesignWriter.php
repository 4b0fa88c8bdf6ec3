<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Hint;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Settle\Capacity;
use Gimbo\Core\Settle\Embossed;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\MeasureRow;
use Gimbo\Core\Settle\Place;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Telling\Bend;
use Gimbo\Core\Telling\ByTool;
use Gimbo\Core\Telling\FoldSequence;

/**
 * A design as the JSON document that the command prints and the browser draws.
 *
 * Lengths are numbers of millimetres to 0.0001 mm; beside each that is read stands its text in the design's system.
 *
 * @phpstan-type Json array<string, mixed>
 */
final class DesignWriter
{
    private const DECIMALS = 4;

    private readonly LengthFormatter $words;

    /** @var array<string, list<Json>> what figures are made of, by their make-up and unit: readings of one setting share it */
    private array $madeOf = [];

    private function __construct(private readonly Design $design, private readonly Detail $detail, private readonly bool $hasSteps)
    {
        $this->words = LengthFormatter::for($design->request->system);
    }

    /**
     * @param Detail $detail how much of it
     * @param bool $hasSteps whether the steps are written too, and what is joined in them
     * @return Json
     */
    public static function write(Design $design, Detail $detail = Detail::Folding, bool $hasSteps = true): array
    {
        return (new self($design, $detail, $hasSteps))->document();
    }

    /** @return Json */
    private function document(): array
    {
        $design = $this->design;
        $request = $design->request;

        return [
            'make' => $request->make,
            'system' => $request->system->value,
            'holds' => self::held($design),
            'pieces' => array_map($this->piece(...), $design->pieces),
            'papers' => array_map(self::paper(...), array_values($request->papers)),
            'inside' => $this->extents($design->inside),
            'closed' => $this->extents($design->closed),
            'takes' => $design->takes,
            'capacities' => array_map(fn (Capacity $some) => ['of' => $some->of->value, 'each' => $some->each, 'inAll' => $some->inAll], $design->figures->capacities),
            'supplies' => array_map($this->supply(...), $design->supplies()),
            'checks' => [...array_map($this->check(...), $design->fits), ...array_map(self::hint(...), $design->hints()), ...array_map($this->byHand(...), $this->detail === Detail::Figures ? [] : $design->byHand())],
        ] + ($this->detail === Detail::Figures || ! $this->hasSteps ? [] : [
            'steps' => $steps = StepsWriter::write($design),
            'joins' => StepsWriter::joins($steps),
            'loose' => StepsWriter::loose($design),
            'byTool' => ByTool::order($design),
        ]);
    }

    /** @return Json what it holds, by itself */
    public static function held(Design $design): array
    {
        $item = $design->request->item;
        $words = LengthFormatter::for($design->request->system);

        return [
            'width' => self::mm($item->width), 'height' => self::mm($item->height),
            'thickness' => self::mm($item->thickness), 'count' => $item->count,
            'text' => ['width' => $words->text($item->width), 'height' => $words->text($item->height)],
        ];
    }

    /** @return Json */
    private function piece(Piece $piece): array
    {
        $creases = $this->detail === Detail::Figures ? [] : $piece->pattern()->edgesByName();

        return [
            'id' => $piece->id,
            'count' => $piece->count,
            'sheet' => ['text' => $piece->figures->cutText()] + $this->rectangle($piece->sheet),
            'exact' => ['sheet' => $this->rectangle($piece->exact)],
            'sheetMadeOf' => $this->madeOf($piece->sheetMadeOf),
            'measures' => array_map(fn (Measure $measure) => $this->measure($measure, $piece, $creases), $piece->measures),
            'rows' => array_map(fn (MeasureRow $row) => ['what' => $row->what, 'measures' => $row->measures], MeasureRow::of($piece->figures)),
            'lie' => $piece->lie->value,
            'role' => $piece->added()->role ?? 'made',
            'paper' => $piece->paper()->id,
        ] + $this->embossed($piece) + $this->added($piece) + ($this->detail === Detail::Figures ? [] : $this->shape($piece));
    }

    /** @return Json the faces a pattern is pressed into; nothing where there are none */
    private function embossed(Piece $piece): array
    {
        $on = array_filter($this->design->figures->outfit->embossed, fn (Embossed $one) => $one->piece === $piece->id);

        return $on === [] ? [] : ['embossed' => array_values(array_unique(array_map(fn (Embossed $one) => $one->face, $on)))];
    }

    /** @return Json of what goes with a make: what asked for it, on what it lies, and where each copy does */
    private function added(Piece $piece): array
    {
        $added = $piece->added();
        if ($added === null) {
            return [];
        }
        $bottom = $added->placings[0] ?? null;
        while ($bottom !== null && ($under = $this->design->figures->outfit->piece($bottom->piece)) !== null) {
            $bottom = $under->placings[0];
        }

        return [
            'with' => $added->addition->id,
            'on' => ($added->placings[0] ?? null) === null ? null : ($this->design->figures->outfit->piece($added->placings[0]->piece) === null ? "{$added->placings[0]->piece}/{$added->placings[0]->face}" : $added->placings[0]->piece),
            'panel' => $bottom === null ? null : "$bottom->piece/$bottom->face",
            'mirrors' => $added->mirrors,
            'below' => round($piece->below(), self::DECIMALS),
            'text' => $added->addition->text('text') ?: null,
            'place' => isset($added->placings[0]) ? self::place($added->placings[0]) : null,
            'places' => array_map(self::place(...), $added->placings),
        ];
    }

    /** @return Json */
    private static function place(Placing $placing): array
    {
        return [
            'piece' => $placing->piece, 'copy' => $placing->copy, 'face' => $placing->face, 'side' => $placing->side->value,
            'at' => self::point($placing->at), 'turn' => round(rad2deg($placing->radians), self::DECIMALS),
            'faces' => (object) $placing->faces,
        ];
    }

    /** @return Json */
    private static function paper(Paper $paper): array
    {
        return [
            'id' => $paper->id, 'name' => $paper->name, 'colour' => $paper->colour, 'caliper' => self::mm($paper->caliper), 'grammage' => $paper->grammage,
            'direction' => $paper->isDirectional ? 'up' : 'none', 'sides' => $paper->sides, 'grain' => $paper->grain,
            'sheet' => $paper->sheet === null ? null : ['width' => self::mm($paper->sheet->width), 'height' => self::mm($paper->sheet->height)],
        ];
    }

    /** @return Json */
    private function supply(Supply $supply): array
    {
        $text = fn (?Length $length): ?string => $length === null ? null : $this->words->rounded($length);

        return [
            'id' => $supply->id, 'role' => $supply->role, 'count' => $supply->count, 'with' => $supply->addition->id,
            'length' => $supply->length === null ? null : self::mm($supply->length), 'size' => $supply->size === null ? null : self::mm($supply->size),
            'text' => ['length' => $text($supply->length), 'size' => $text($supply->size)],
        ];
    }

    /** @return Json what its pattern gives */
    private function shape(Piece $piece): array
    {
        return [
            'fold' => FoldFile::write($piece->pattern(), $piece->folding(...)),
            'folded' => [
                'width' => round($piece->folded()->width, self::DECIMALS),
                'height' => round($piece->folded()->height, self::DECIMALS),
                'depth' => round($piece->folded()->depth, self::DECIMALS),
            ],
            'glue' => array_map(self::ring(...), $piece->glue()),
            'contents' => self::ringOrNull($piece->contents()),
            'outline' => self::ringOrNull($piece->outline()),
            'closure' => $this->closure($piece),
        ] + ($this->detail === Detail::Folding ? ['folding' => self::folding($piece, $this->design)] : []);
    }

    /**
     * @param array<string, list<int>> $creases the edges of each
     * @return Json
     */
    private function measure(Measure $measure, Piece $piece, array $creases): array
    {
        return [
            'kind' => $measure->kind->value,
            'tool' => $measure->tool->value,
            'axis' => $measure->axis->value,
            'from' => $measure->from,
            'at' => self::mm($measure->at),
            'text' => $measure->text(),
            'setting' => $measure->setting,
            'scale' => ['step' => self::mm($measure->scale->size), 'unit' => $measure->scale->unit->value],
            'standoff' => self::mm($measure->standoff ?? Length::zero()),
            'groove' => $measure->groove === null ? null : ['at' => self::mm($measure->groove), 'text' => $measure->text($measure->groove)],
            'side' => $measure->side,
            'corner' => $measure->rail === null ? null : self::point($measure->rail->corner),
            'madeOf' => $this->madeOf($measure->madeOf, LengthFormatter::in($measure->scale->unit)),
        ] + ($this->detail === Detail::Figures ? [] : ['edges' => self::edges($measure, $piece, $creases)]);
    }

    /**
     * @param array<string, list<int>> $creases the edges of each
     * @return list<int> the edges of the pattern that a measure makes
     */
    private static function edges(Measure $measure, Piece $piece, array $creases): array
    {
        return $measure->rail === null
            ? array_merge(...array_map(fn (string $crease) => $creases[$crease] ?? [], $measure->creases))
            : $piece->pattern()->edgesAlong($measure->rail->onRail, $measure->rail->end);
    }

    /** @return Json */
    private function check(Fit $fit): array
    {
        return [
            'id' => $fit->id,
            'piece' => $fit->piece,
            'need' => self::mm($fit->need),
            'have' => self::mm($fit->have),
            'slack' => self::mm($fit->slack()),
            'ok' => $fit->isOk(),
            'bare' => self::mm($fit->bare),
            'slip' => self::mm($fit->slip),
            'critical' => $fit->isCritical(),
            'most' => $fit->band === null ? null : self::mm($fit->band->most()),
            'state' => $fit->state(),
            'text' => array_map($this->words->rounded(...), [
                'need' => $fit->need, 'have' => $fit->have, 'slack' => $fit->slack(), 'bare' => $fit->bare,
                'spare' => $fit->have->minus($fit->bare), 'slip' => $fit->slip,
                'asked' => $fit->need->minus($fit->bare),
                'afterSlip' => $fit->have->minus($fit->slip)->minus($fit->bare),
            ]),
            'madeOf' => $this->madeOf($fit->madeOf),
            'remedies' => array_map(fn (Remedy $remedy) => [
                'id' => $remedy->id, 'params' => (object) $remedy->params,
                'edits' => array_map(fn (string $at, mixed $to) => ['at' => $at, 'to' => $to], array_keys($remedy->edits), $remedy->edits),
            ], $fit->remedies),
        ];
    }

    /**
     * @param array{WorkStep, string} $one
     * @return Json like a check that never fails: what the nearest punch there is would give
     */
    private function byHand(array $one): array
    {
        [$step, $why] = $one;
        $size = $step->values['size'] ?? Length::zero();
        $text = $this->words->rounded($size);

        return [
            'id' => 'by-hand', 'piece' => $step->piece, 'need' => self::mm($size), 'have' => self::mm($size), 'slack' => 0.0,
            'unit' => 'mm', 'hint' => true, 'ok' => true, 'bare' => self::mm($size), 'slip' => 0, 'critical' => false, 'most' => null, 'state' => $why,
            'text' => ['need' => $text, 'have' => $text, 'slack' => '', 'bare' => $text, 'spare' => '', 'slip' => '', 'asked' => '', 'afterSlip' => ''],
            'madeOf' => [], 'remedies' => [],
        ];
    }

    /** @return Json like a check, so that whoever reads those reads it too; it never fails */
    private static function hint(Hint $hint): array
    {
        [$need, $have] = ["$hint->need g/m²", "$hint->have g/m²"];

        return [
            'id' => Hint::WEIGHT, 'piece' => null, 'need' => $hint->need, 'have' => $hint->have, 'slack' => $hint->state === 'heavy' ? $hint->need - $hint->have : $hint->have - $hint->need,
            'unit' => 'g/m²', 'hint' => true, 'ok' => true, 'bare' => $hint->need, 'slip' => 0, 'critical' => false, 'most' => null, 'state' => $hint->state,
            'text' => ['need' => $need, 'have' => $have, 'slack' => '', 'bare' => $need, 'spare' => '', 'slip' => '', 'asked' => '', 'afterSlip' => ''],
            'madeOf' => [], 'remedies' => [],
        ];
    }

    /** @return list<Json> */
    private function madeOf(MakeUp $madeOf, ?LengthFormatter $in = null): array
    {
        $words = $in ?? $this->words;

        return $this->madeOf[spl_object_id($madeOf).$words->unit()->value] ??= array_map(fn (Term $term) => [
            'kind' => $term->kind->value,
            'dimension' => $term->dimension?->value,
            'amount' => self::mm($term->amount),
            'text' => $words->marked($term->amount),
            'whole' => $term->whole === null ? null : $words->marked($term->whole),
        ], $madeOf->terms);
    }

    /** @return Json how it is folded, moment by moment: see Telling\FoldSequence */
    public static function folding(Piece $piece, Design $design): array
    {
        $plan = FoldSequence::of($piece, $design);
        $vector = fn (Vector $v): array => [round($v->x, self::DECIMALS), round($v->y, self::DECIMALS), round($v->z, self::DECIMALS)];

        return [
            'root' => $plan->root,
            'bends' => array_map(fn (Bend $bend) => [
                'face' => $bend->face, 'parent' => $bend->parent, 'from' => $bend->from, 'to' => $bend->to, 'stage' => $bend->stage,
                'degrees' => array_map(fn (float $degrees) => round($degrees, self::DECIMALS), $bend->degrees),
            ], $plan->bends),
            'stages' => $plan->stages,
            'lifts' => array_map(fn (int $face) => $vector($plan->lifts[$face] ?? new Vector(0, 0, 0)), array_keys($piece->pattern()->faces)),
            'contents' => $plan->contentsFace === null ? null : ['face' => $plan->contentsFace, 'depth' => self::mm($plan->contentsDepth)],
            'side' => $plan->side,
            'places' => array_map(fn (Place $place) => ['turn' => $place->turnDegrees, 'shift' => $vector($place->shift)], $piece->places()),
        ];
    }

    /** @return Json|null */
    private function closure(Piece $piece): ?array
    {
        $closure = $piece->closure();
        $at = fn (?Point $point): ?array => $point === null ? null : self::point($point);

        return $closure === null ? null : [
            'kind' => $closure->kind, 'onFlap' => $at($closure->onFlap), 'face' => $closure->face, 'onBody' => $at($closure->onBody),
            'size' => round($closure->sizeMm, self::DECIMALS), 'slit' => round($closure->slitMm, self::DECIMALS),
            'text' => array_map(fn (float $mm) => $this->words->rounded(Length::nearestTo($mm)), ['size' => $closure->sizeMm, 'slit' => $closure->slitMm]),
        ];
    }

    /** @return Json */
    private function rectangle(Rectangle $rectangle): array
    {
        return [
            'width' => self::mm($rectangle->width), 'height' => self::mm($rectangle->height),
            'text' => ['width' => $this->words->marked($rectangle->width), 'height' => $this->words->marked($rectangle->height)],
        ];
    }

    /** @return Json */
    private function extents(Extents $extents): array
    {
        return [
            'width' => self::mm($extents->width), 'height' => self::mm($extents->height), 'depth' => self::mm($extents->depth),
            'text' => array_map($this->words->rounded(...), ['width' => $extents->width, 'height' => $extents->height, 'depth' => $extents->depth]),
        ];
    }

    /** @return list<array{float, float}>|null */
    private static function ringOrNull(?Polygon $polygon): ?array
    {
        return $polygon === null ? null : self::ring($polygon);
    }

    /** @return list<array{float, float}> */
    private static function ring(Polygon $polygon): array
    {
        return array_map(self::point(...), $polygon->points);
    }

    /** @return array{float, float} */
    private static function point(Point $point): array
    {
        return [round($point->x, self::DECIMALS), round($point->y, self::DECIMALS)];
    }

    private static function mm(Length $length): float
    {
        return round($length->toMillimetres(), self::DECIMALS);
    }
}
