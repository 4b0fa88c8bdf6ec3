<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\NoteWallet;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shared\BoxRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * A cover with a spine and a pocket on both sides, corner gussets and a strap.
 *
 * Columns pocket | spine | pocket; rows pocket flap | gusset | cover. Formulas: docs/formulas.md, "Note-card wallet".
 */
final readonly class NoteWallet implements Make
{
    public function id(): string
    {
        return 'note-wallet';
    }

    public function holds(): array
    {
        return [HeldKind::Set];
    }

    public function options(): array
    {
        return [OptionSpec::count('perPocket', 1, 500, fn (Item $item) => intdiv($item->count + 1, 2)), OptionSpec::length('pocketHeight'), OptionSpec::length('gusset')];
    }

    /** Pockets 2 in high, tabs of 1/2 in, a strap whose flap is 1 in: common practice, no source. */
    public function chosenLengths(SizingRequest $request): array
    {
        return [
            'pocketHeight' => $request->options->length('pocketHeight') ?? Length::inches(2),
            'gusset' => $request->options->length('gusset') ?? self::gusset($request)->figure(),
        ];
    }

    /** A note-card envelope in a pocket: common practice, no source. */
    public function usualClearance(Item $item): Clearance
    {
        return new Clearance(Length::inches(1, 4), Length::inches(1, 8), Length::zero());
    }

    public function design(SizingRequest $request): Design
    {
        $chosen = $this->chosenLengths($request);
        $gusset = $request->options->length('gusset') === null ? self::gusset($request) : MakeUp::of(new Term(TermKind::Depth, $chosen['gusset']));
        $pocket = Strip::atLeast(BoxRoom::needed($request, Dimension::Width, 0));
        $flap = Strip::atLeast(MakeUp::of(new Term(TermKind::Flap, $chosen['pocketHeight'])));
        $rows = GridAxis::of(Axis::Height, [$flap], $gusset, [Strip::atLeast(BoxRoom::needed($request, Dimension::Height, 0))], $request->tools->for('cover'));
        $spine = MakeUp::of(new Term(TermKind::Gusset, $rows->main()->times(2)));
        $cover = new GridSheet(GridAxis::of(Axis::Width, [$pocket], $spine, [$pocket], $request->tools->for('cover')), $rows);
        $pieces = [
            GridPiece::of('cover', $cover, self::cover($cover), $cover->centredIn(0, 2, $request->item->width->toMillimetres(), $request->item->height->toMillimetres())),
            self::cornerGusset($cover, $request),
            self::strap($cover, $request),
        ];
        $t = $request->paper->caliper;
        $room = new Extents($cover->columns->width(0), $rows->width(2), $rows->main()->minus($t));
        $stack = self::stackOf($request, $request->options->count('perPocket'));
        [$width, $height] = BoxRoom::fits($request, $room, Fit::handMiss());

        return new Design($request, $pieces, $room, new Extents($cover->columns->width(0)->plus($t), $rows->width(2)->plus($t), $cover->columns->main()->plus($t)), [
            $width, $height,
            new Fit('stack-fits-gusset', $stack->plus($request->clearance->depth), $room->depth, $stack, Fit::handMiss()->times(2), self::gusset($request)),
            Fit::plain('spine-takes-both-pockets', $rows->main()->times(2), $cover->columns->main(), $rows->main()->times(2), Fit::handMiss()),
            ...FromPaper::fits($pieces, $request),
        ], self::steps($pieces), BoxRoom::takes($request, $room));
    }

    public function remedies(string $fit, Design $design): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($design->pieces),
            'stack-fits-gusset' => [new Remedy('gusset-from-contents', ['/options/gusset' => null])],
            default => [],
        };
    }

    private static function stackOf(SizingRequest $request, int $count): Length
    {
        return (new Item($request->item->width, $request->item->height, $request->item->thickness, $count))->stack();
    }

    private static function gusset(SizingRequest $request): MakeUp
    {
        return MakeUp::of(
            new Term(TermKind::Thickness, self::stackOf($request, $request->options->count('perPocket')), Dimension::Depth),
            new Term(TermKind::Clearance, $request->clearance->depth, Dimension::Depth),
            new Term(TermKind::Paper, $request->paper->caliper),
        );
    }

    /** Spine first, it lies on the table; the pocket flaps are notched away at the spine so that they fold with it. */
    private static function cover(GridSheet $grid): Pattern
    {
        $builder = (new PatternBuilder)->face('left-cover', $grid->cell(0, 2))
            ->face('spine', $grid->cell(1, 2))->hinge('left-cover', 'spine', 90, 'x1')
            ->face('right-cover', $grid->cell(2, 2))->hinge('spine', 'right-cover', 90, 'x2');
        foreach (['left' => 0, 'right' => 2] as $side => $column) {
            $builder->face("$side-gusset", $grid->cell($column, 1))->hinge("$side-cover", "$side-gusset", 90, 'y2')
                ->face("$side-pocket", $grid->cell($column, 0))->hinge("$side-gusset", "$side-pocket", 90, 'y1');
        }

        return $builder->build();
    }

    /** A strip that closes a pocket's outer side: tab, gusset, tab. */
    private static function cornerGusset(GridSheet $cover, SizingRequest $request): Piece
    {
        $tab = Strip::atLeast(MakeUp::of(new Term(TermKind::Flap, Length::inches(1, 2))));
        $grid = new GridSheet(
            GridAxis::of(Axis::Width, [$tab], MakeUp::of(new Term(TermKind::Gusset, $cover->rows->main())), [$tab], $request->tools->for('corner-gusset')),
            GridAxis::of(Axis::Height, [], MakeUp::of(new Term(TermKind::Flap, $cover->rows->width(0))), [], $request->tools->for('corner-gusset'), isContained: true),
        );
        $pattern = (new PatternBuilder)->face('side', $grid->cell(1, 0))
            ->face('left-tab', $grid->cell(0, 0))->hinge('side', 'left-tab', 90, 'x1')
            ->face('right-tab', $grid->cell(2, 0))->hinge('side', 'right-tab', 90, 'x2')->build();

        return GridPiece::of('corner-gusset', $grid, $pattern, count: 2);
    }

    private static function strap(GridSheet $cover, SizingRequest $request): Piece
    {
        $flap = Strip::atLeast(MakeUp::of(new Term(TermKind::Flap, Length::min(Length::inches(1), $cover->columns->width(0)->timesNearest(1, 3)))));
        $body = $cover->columns->width(0)->minus($request->tools->score->up($flap->need->figure()));
        $grid = new GridSheet(
            GridAxis::of(Axis::Width, [], MakeUp::of(new Term(TermKind::Face, Length::max($body, $request->tools->cut->size))), [$flap], $request->tools->for('strap')),
            GridAxis::of(Axis::Height, [], MakeUp::of(new Term(TermKind::Flap, Length::inches(2))), [], $request->tools->for('strap')),
        );
        $pattern = (new PatternBuilder)->face('strap', $grid->cell(0, 0))->face('strap-flap', $grid->cell(1, 0))->hinge('strap', 'strap-flap', 90, 'x1')->build();

        return GridPiece::of('strap', $grid, $pattern);
    }

    /**
     * @param list<Piece> $pieces
     * @return list<WorkStep>
     */
    private static function steps(array $pieces): array
    {
        $steps = array_merge(...array_map(fn (Piece $piece) => GridWork::cutAndScore($piece), $pieces));

        return [
            ...$steps,
            new WorkStep(Deed::CutOut, 'cover', faces: ['spine']),
            new WorkStep(Deed::Fold, 'cover', faces: ['left-gusset', 'left-pocket', 'right-gusset', 'right-pocket', 'spine'], onto: 'left-cover'),
            new WorkStep(Deed::TryFit, 'cover', advice: ['lay-it-in']),
            new WorkStep(Deed::Glue, 'corner-gusset', faces: ['left-tab', 'right-tab'], onto: 'side', advice: ['strong-tape-or-wet-glue']),
            new WorkStep(Deed::RoundCorners, 'strap', faces: ['strap-flap']),
            new WorkStep(Deed::Glue, 'strap', faces: ['strap'], onto: 'strap', advice: ['dot-as-a-closed-pair']),
            new WorkStep(Deed::Fill, 'cover'),
            new WorkStep(Deed::Close, 'cover', faces: ['strap-flap']),
        ];
    }
}
