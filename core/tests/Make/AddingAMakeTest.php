<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make;

use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Make\Shared\CardSize;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\TestCase;

/** docs/adding-a-make.md, followed: a sleeve, open at both ends, that nothing in the core knows of. */
final class AddingAMakeTest extends TestCase
{
    public function test_a_make_of_ones_own_is_sized_once_it_is_registered(): void
    {
        $sizing = new Sizing(new Makes(self::sleeve()));
        $design = $sizing->size(['make' => 'sleeve', 'holds' => ['width' => '100 mm', 'height' => '70 mm', 'thickness' => '2 mm'], 'system' => 'metric', 'paper' => ['caliper' => '0.3 mm', 'sheet' => ['width' => '150 mm', 'height' => '100 mm']]]);
        $written = DesignWriter::write($design);
        self::assertSame(['sleeve'], $sizing->makes->ids());
        self::assertGreaterThanOrEqual(102.0, $design->inside->width->toMillimetres());
        self::assertEqualsWithDelta([105.0, 70.0], [$design->pieces[0]->folded->width, $design->pieces[0]->folded->height], 1e-9);
        self::assertIsArray($written['checks']);
        $paper = array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === FromPaper::ID))[0];
        self::assertFalse($paper->isOk());
        self::assertNotSame([], $paper->remedies, 'tried before they are offered, like those of every make');
    }

    private static function sleeve(): Make
    {
        return new class implements Make {
            public function id(): string
            {
                return 'sleeve';
            }

            public function holds(): array
            {
                return [HeldKind::Card];
            }

            public function options(): array
            {
                return [];
            }

            public function chosenLengths(SizingRequest $request): array
            {
                return [];
            }

            public function usualClearance(Item $item): Clearance
            {
                return new Clearance(Length::mm(2), Length::zero(), Length::zero());
            }

            public function design(SizingRequest $request): Design
            {
                $face = FlatRoom::needed($request, Dimension::Width);
                $grid = new GridSheet(
                    GridAxis::of(Axis::Width, [Strip::atLeast($face)], $face, [Strip::atLeast(MakeUp::of(new Term(TermKind::Flap, Length::mm(12))))], $request->tools),
                    GridAxis::of(Axis::Height, [], CardSize::part($request, Dimension::Height), [], $request->tools, isContained: false),
                );
                $pattern = (new PatternBuilder)->face('front', $grid->cell(1, 0))
                    ->face('back', $grid->cell(0, 0))->hinge('front', 'back', 180, 'x1')
                    ->face('tab', $grid->cell(2, 0))->hinge('front', 'tab', 180, 'x2')->glue('tab', 'back')
                    ->layers('front', 'back', 'tab')->build();
                $piece = GridPiece::of('sleeve', $grid, $pattern);
                $inside = new Extents($grid->columns->main()->minus($request->paper->caliper), $grid->rows->main(), Length::zero());

                return new Design($request, [$piece], $inside, $inside, [
                    FlatRoom::fit($request, Dimension::Width, $inside->width, Fit::handMiss()), ...FromPaper::fits([$piece], $request),
                ], GridWork::cutAndScore($piece));
            }

            public function remedies(string $fit, Design $design): array
            {
                return FromPaper::remedies($design->pieces);
            }
        };
    }
}
