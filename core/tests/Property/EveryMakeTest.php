<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Property;

use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use Gimbo\Core\Tool\ToolKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What holds for every request of every make, tried on thousands of random ones. GIMBO_PROPERTY_RUNS asks for more. */
final class EveryMakeTest extends TestCase
{
    private const SEED = 20261125;

    /** Lengths are rounded to ticks of a few nanometres on the way. */
    private const TICKS_MM = 1e-4;

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_what_must_always_hold(string $make): void
    {
        mt_srand(self::SEED);
        $sizing = Sizing::ofEverything();
        $runs = (int) (getenv('GIMBO_PROPERTY_RUNS') ?: 1000);
        for ($run = 0; $run < $runs; $run++) {
            $spec = Specs::random($make);
            $context = json_encode($spec, JSON_THROW_ON_ERROR);
            $design = $sizing->size($spec);
            self::keepsTheAskedRoom($design, $context);
            self::sizesTheSameFromItsOwnRoom($sizing, $design, $context);
            foreach ($design->pieces as $piece) {
                self::setsOnlyWholeSteps($piece, $design, $context);
                self::liesInsideItsSheet($piece, $context);
                self::foldsAsItSays($piece, $context);
                self::explainsEveryFigure($piece, $context);
            }
            self::remediesDoMend($sizing, $design, $context);
            json_encode(DesignWriter::write($design), JSON_THROW_ON_ERROR);
        }
        self::assertSame($runs, $run);
    }

    #[DataProvider('makes')]
    public function test_absurd_requests_are_sized_or_refused_and_crash_nothing(string $make): void
    {
        mt_srand(self::SEED);
        $sizing = Sizing::ofEverything();
        $sized = 0;
        for ($run = 0; $run < 400; $run++) {
            $spec = Specs::absurd($make);
            try {
                $design = $sizing->size($spec);
            } catch (InvalidDocument $error) {
                self::assertSame('stack.too-thick', $error->problems[0]->reason->code, json_encode($spec, JSON_THROW_ON_ERROR));

                continue;
            }
            $sized++;
            self::assertNotSame('', json_encode(DesignWriter::write($design), JSON_THROW_ON_ERROR));
            foreach ($design->pieces as $piece) {
                self::assertLessThan(Tolerance::CLOSED_FOLD_MM, $piece->folding()->gap());
            }
        }
        self::assertGreaterThan(100, $sized);
    }

    /** A fit about room fails only where a length that was asked for makes it fail. */
    private static function keepsTheAskedRoom(Design $design, string $context): void
    {
        $request = $design->request;
        $holds = array_filter($design->fits, fn (Fit $fit) => $fit->id === 'card-fits-width') !== [];
        if ($holds) {
            self::assertGreaterThanOrEqual($request->item->width->plus($request->clearance->width)->toMillimetres() - self::TICKS_MM, $design->inside->width->toMillimetres(), $context);
            self::assertGreaterThanOrEqual($request->item->height->plus($request->clearance->height)->toMillimetres() - self::TICKS_MM, $design->inside->height->toMillimetres(), $context);
        }
        $asked = array_filter($design->request->options->lengthsAsked(), fn (string $id) => in_array($id, ['depth', 'gusset'], true), ARRAY_FILTER_USE_KEY);
        // A wallet has two such depths and shares the stack between them.
        if ($holds && $asked === [] && $request->make !== 'note-wallet') {
            self::assertGreaterThanOrEqual($request->item->stack()->plus($request->clearance->depth)->toMillimetres() - self::TICKS_MM, $design->inside->depth->toMillimetres(), $context);
        }
        foreach ($design->fits as $fit) {
            // A lid may be rounded either way inside its band: never so that it binds, unless no step of the trimmer is in it.
            $fit->id === 'lid-goes-on' && self::assertNotSame('binds', $fit->state(), $context);
            if (preg_match('/^(card-fits-(width|height)|closes-to-(width|height)|light-stands-between)$/', $fit->id) === 1
                || ($asked === [] && in_array($fit->id, ['card-fits-depth', 'stack-fits-gusset'], true))) {
                self::assertGreaterThanOrEqual($fit->need->toMillimetres() - self::TICKS_MM, $fit->have->toMillimetres(), "$fit->id $context");
            }
        }
    }

    private static function setsOnlyWholeSteps(Piece $piece, Design $design, string $context): void
    {
        $tools = $design->request->tools;
        foreach ([$piece->sheet->width, $piece->sheet->height] as $side) {
            self::assertTrue($tools->cut->divides($side) && $side->isPositive(), $context);
        }
        foreach ($piece->measures as $measure) {
            $step = match (true) {
                $measure->kind === MeasureKind::Punch => $tools->punch,
                $measure->kind === MeasureKind::Score, $measure->kind === MeasureKind::Mark && $measure->tool !== ToolKind::Trimmer => $tools->score,
                default => $tools->cut,
            };
            self::assertTrue($step->divides($measure->at) && $measure->at->isPositive(), "{$measure->kind->value} $context");
            $reach = hypot($piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres()) + $step->size->toMillimetres();
            self::assertLessThanOrEqual($reach, $measure->at->toMillimetres(), $context);
        }
    }

    private static function liesInsideItsSheet(Piece $piece, string $context): void
    {
        $sheet = Polygon::rectangle(0, 0, $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres());
        $area = 0.0;
        foreach ($piece->pattern()->faces as $i => $face) {
            $polygon = $piece->pattern()->polygon($i);
            self::assertGreaterThan(0.0, $polygon->area(), "$face->name $context");
            $area += $polygon->area();
            foreach ($polygon->points as $point) {
                self::assertTrue($sheet->containsOrTouches($point), "$face->name $context");
            }
        }
        // Faces that overlapped would add up to more than the sheet.
        self::assertLessThanOrEqual($sheet->area() * (1 + 1e-9), $area, $context);
    }

    private static function foldsAsItSays(Piece $piece, string $context): void
    {
        self::assertLessThan(Tolerance::CLOSED_FOLD_MM, $piece->folding()->gap(), $context);
        foreach ($piece->pattern()->faces as $f => $face) {
            if ($face->gluedTo === null) {
                continue;
            }
            // Glued faces lie in one plane: every corner of one at no distance from the other.
            $onto = $piece->folding()->faces[$face->gluedTo];
            $normal = Overlap::normal($onto);
            foreach ($piece->folding()->faces[$f] as $corner) {
                self::assertEqualsWithDelta(0.0, $normal->dot($corner->minus($onto[0])), self::TICKS_MM, "$face->name $context");
            }
        }
    }

    private static function explainsEveryFigure(Piece $piece, string $context): void
    {
        self::assertSame($piece->sheet->width->ticks, $piece->sheetMadeOf->figure()->ticks, $context);
        self::assertSame($piece->sheet->height->ticks, ($piece->heightMadeOf ?? $piece->sheetMadeOf)->figure()->ticks, $context);
        foreach ($piece->measures as $measure) {
            self::assertSame($measure->at->ticks, $measure->madeOf->figure()->ticks, $context);
            self::assertNotSame([TermKind::Rounding], array_map(fn ($term) => $term->kind, $measure->madeOf->terms), $context);
        }
    }

    /** Asked to hold exactly the room it gives, with nothing to spare, it comes out no larger. */
    private static function sizesTheSameFromItsOwnRoom(Sizing $sizing, Design $design, string $context): void
    {
        $request = $design->request;
        if (array_filter($design->fits, fn (Fit $fit) => $fit->id === 'card-fits-width') === []) {
            return;
        }
        // A micrometre less, so that no rounding of the text on the way asks for more than there is.
        $less = \Gimbo\Core\Measure\Length::mm(1, 1000);
        $width = $design->inside->width->minus($less);
        $height = $design->inside->height->minus($less);
        $holds = ['width' => self::exact($width), 'height' => self::exact($height)];
        $isBulgy = ($request->options->all()['bulk'] ?? '') === 'pillow';
        // What is nearly square may give room that lies the other way, and is then laid the other way.
        $asked = $request->item->width->plus($request->clearance->width)->compareTo($request->item->height->plus($request->clearance->height));
        $isTurned = $asked * $design->inside->width->compareTo($design->inside->height) <= 0;
        if ($isBulgy || $isTurned || ! $width->isPositive() || ! $height->isPositive()) {
            return;
        }
        $clearance = ['width' => '0 mm', 'height' => '0 mm'] + (array) ($request->spec['clearance'] ?? []);
        $lengths = array_map(self::exact(...), $sizing->makes->find($request->make)?->chosenLengths($request) ?? []);
        $again = $sizing->size(['holds' => $holds + (array) $request->spec['holds'], 'clearance' => $clearance, 'options' => $lengths + $request->options->all()] + $request->spec);
        self::assertEqualsWithDelta($design->inside->width->toMillimetres(), $again->inside->width->toMillimetres(), self::TICKS_MM * 10, $context);
        self::assertEqualsWithDelta($design->inside->height->toMillimetres(), $again->inside->height->toMillimetres(), self::TICKS_MM * 10, $context);
        self::assertEqualsWithDelta($design->pieces[0]->sheet->width->toMillimetres(), $again->pieces[0]->sheet->width->toMillimetres(), self::TICKS_MM * 10, $context);
    }

    private static function remediesDoMend(Sizing $sizing, Design $design, string $context): void
    {
        foreach ($design->fits as $fit) {
            foreach ($fit->remedies as $remedy) {
                $after = $sizing->size(\Gimbo\Core\Spec\SpecEditor::with($design->request->spec, $remedy->edits));
                $mended = array_filter($after->fits, fn (Fit $one) => $one->id === $fit->id && ! $one->isOk());
                self::assertSame([], $mended, "$fit->id $remedy->id $context");
            }
        }
    }

    private static function exact(\Gimbo\Core\Measure\Length $length): string
    {
        return rtrim(rtrim(number_format($length->toMillimetres(), 6, '.', ''), '0'), '.').' mm';
    }
}
