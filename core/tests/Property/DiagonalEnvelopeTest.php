<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Property;

use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\TestCase;

/** What holds for every request, tried on thousands of random ones. GIMBO_PROPERTY_RUNS asks for more. */
final class DiagonalEnvelopeTest extends TestCase
{
    private const SEED = 20261125;

    /** Lengths are rounded to ticks of a few nanometres on the way. */
    private const TICKS_MM = 1e-4;

    public function test_what_must_always_hold(): void
    {
        mt_srand(self::SEED);
        $sizing = Sizing::ofEverything();
        $runs = (int) (getenv('GIMBO_PROPERTY_RUNS') ?: 3000);
        for ($run = 0; $run < $runs; $run++) {
            $spec = Specs::random();
            $design = $sizing->size($spec);
            $context = json_encode($spec, JSON_THROW_ON_ERROR);
            self::keepsTheAskedRoom($design, $context);
            self::setsOnlyWholeSteps($design, $context);
            self::liesInsideItsSquare($design, $context);
            self::foldsToWhatIsSaid($design, $context);
            self::explainsEveryFigure($design, $context);
        }
        self::assertSame($runs, $run);
    }

    private static function keepsTheAskedRoom(Design $design, string $context): void
    {
        $request = $design->request;
        $edge = $request->item->stack()->plus($request->clearance->depth);
        foreach ([[$design->inside->width, $request->item->width, $request->clearance->width], [$design->inside->height, $request->item->height, $request->clearance->height]] as [$have, $item, $clearance]) {
            self::assertGreaterThanOrEqual($item->plus($clearance, $edge)->toMillimetres() - self::TICKS_MM, $have->toMillimetres(), $context);
        }
    }

    private static function setsOnlyWholeSteps(Design $design, string $context): void
    {
        $tools = $design->request->tools;
        self::assertTrue($tools->cut->divides($design->pieces[0]->sheet->width), $context);
        foreach ($design->pieces[0]->measures as $measure) {
            $step = match ($measure->kind) {
                MeasureKind::Punch => $tools->punch,
                MeasureKind::Score => $tools->score,
                default => $tools->cut,
            };
            self::assertTrue($step->divides($measure->at), $context);
            self::assertTrue($measure->at->isPositive(), $context);
        }
    }

    private static function liesInsideItsSquare(Design $design, string $context): void
    {
        $side = $design->pieces[0]->sheet->width->toMillimetres();
        $sheet = Polygon::rectangle(0, 0, $side, $side);
        foreach ($design->pieces[0]->pattern->vertices as $vertex) {
            self::assertTrue($sheet->containsOrTouches($vertex), $context);
        }
        $contents = $design->pieces[0]->contents;
        $face = $design->pieces[0]->pattern->polygon(0);
        self::assertNotNull($contents);
        foreach ($contents->points as $corner) {
            self::assertTrue($face->containsOrTouches($corner), $context);
        }
    }

    private static function foldsToWhatIsSaid(Design $design, string $context): void
    {
        $piece = $design->pieces[0];
        $folding = Folding::of($piece->pattern);
        self::assertLessThan(Tolerance::CLOSED_FOLD_MM, $folding->gap(), $context);
        $request = $design->request;
        if (array_filter($design->fits, fn ($fit) => $fit->id === 'tips-stay-inside' && ! $fit->isOk()) !== []) {
            return;
        }
        // With no tip sticking out the folded outline is the face itself.
        $t = $request->paper->caliper->toMillimetres();
        self::assertEqualsWithDelta($design->inside->width->toMillimetres() + $t, $piece->folded->width, self::TICKS_MM, $context);
        self::assertEqualsWithDelta($design->inside->height->toMillimetres() + $t, $piece->folded->height, self::TICKS_MM, $context);
        self::assertEqualsWithDelta(0.0, $piece->folded->depth, self::TICKS_MM, $context);
        $face = $piece->pattern->polygon(0);
        foreach ($folding->faces as $corners) {
            foreach ($corners as $corner) {
                self::assertTrue($face->containsOrTouches(new Point($corner->x, $corner->y)), $context);
            }
        }
    }

    private static function explainsEveryFigure(Design $design, string $context): void
    {
        $piece = $design->pieces[0];
        self::assertSame($piece->sheet->width->ticks, $piece->sheetMadeOf->figure()->ticks, $context);
        foreach ($piece->measures as $measure) {
            self::assertSame($measure->at->ticks, $measure->madeOf->figure()->ticks, $context);
            $kinds = array_map(fn ($term) => $term->kind->value, $measure->madeOf->terms);
            $measure->kind === MeasureKind::Trim || self::assertContains('contents', $kinds, $context);
        }
    }
}
