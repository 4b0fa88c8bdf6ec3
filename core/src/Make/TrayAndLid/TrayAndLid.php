<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\TrayAndLid;

use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Design\Place;
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
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Make\Shared\ToolRemedies;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * A tray and the lid that goes over it, each with single or doubled walls.
 *
 * The lid is sized from the tray as it will really be. Formulas: docs/formulas.md, "Tray and lid".
 */
final readonly class TrayAndLid implements Make
{
    public function id(): string
    {
        return 'tray-and-lid';
    }

    public function holds(): array
    {
        return [HeldKind::ThickCard, HeldKind::Set, HeldKind::Packet];
    }

    public function options(): array
    {
        return [
            OptionSpec::length('depth'),
            OptionSpec::choice('trayWall', [Wall::SINGLE, Wall::DOUBLED]),
            OptionSpec::choice('lidWall', [Wall::SINGLE, Wall::DOUBLED]),
            OptionSpec::length('lidDepth'),
            OptionSpec::lengthOrZero('lidPlay'),
        ];
    }

    /** What the lid has to spare beyond paper: common practice, no source (a doubled lid holds, a single one goes on easily). */
    private static function usualPlay(string $wall): Length
    {
        return $wall === Wall::DOUBLED ? Length::mm(8, 10) : Length::mm(25, 10);
    }

    public function chosenLengths(SizingRequest $request): array
    {
        $options = $request->options;
        $depth = $options->length('depth') ?? BoxRoom::depth($request)->figure();

        return [
            'depth' => $depth,
            'lidDepth' => $options->length('lidDepth') ?? $request->tools->score->up($depth)->timesNearest(1, 2),
            'lidPlay' => $options->length('lidPlay') ?? self::usualPlay($options->choice('lidWall')),
        ];
    }

    /** Bare card in a tray 2 mm; cards with envelopes 1/4 × 3/8 in (common practice, no source). */
    public function usualClearance(Item $item): Clearance
    {
        return $item->count === 1
            ? new Clearance(Length::mm(2), Length::mm(2), Length::zero())
            : new Clearance(Length::inches(1, 4), Length::inches(3, 8), Length::zero());
    }

    public function design(SizingRequest $request): Design
    {
        $chosen = $this->chosenLengths($request);
        $trayWall = Wall::of($request->options->choice('trayWall'));
        $lidWall = Wall::of($request->options->choice('lidWall'));
        $depth = $request->options->length('depth') === null
            ? BoxRoom::depth($request)
            : MakeUp::of(new Term(TermKind::Depth, $chosen['depth']));
        $tray = $trayWall->grid(
            BoxRoom::needed($request, Dimension::Width, $trayWall->calipersInside()),
            BoxRoom::needed($request, Dimension::Height, $trayWall->calipersInside()), $depth, $request->tools->for('tray'),
        );
        $over = fn (Axis $axis): MakeUp => MakeUp::of(
            new Term(TermKind::Tray, $axis === Axis::Width ? $tray->columns->main() : $tray->rows->main()),
            new Term(TermKind::Paper, $request->paper->caliper->times($lidWall->calipersOver())),
            new Term(TermKind::Play, $chosen['lidPlay']),
        );
        $lid = $lidWall->grid($over(Axis::Width), $over(Axis::Height), MakeUp::of(new Term(TermKind::Depth, $chosen['lidDepth'])), $request->tools->for('lid'));
        $item = $request->item;
        $pieces = [
            $trayWall->piece('tray', $tray, $request, $tray->centredIn($tray->columns->main, $tray->rows->main, $item->width->toMillimetres(), $item->height->toMillimetres())),
            $lidWall->piece('lid', $lid, $request, null),
        ];
        $t = $request->paper->caliper;
        $walls = $t->times($trayWall->calipersInside());
        $wallHeight = $tray->columns->width($tray->columns->main - 1);
        $lidHeight = $lid->columns->width($lid->columns->main - 1);
        $inside = new Extents($tray->columns->main()->minus($walls), $tray->rows->main()->minus($walls), $wallHeight->minus($t->timesNearest(1, 2)));
        $pieces = [
            $pieces[0]->placed(Place::asItLies()),
            $pieces[1]->placed(Place::turnedOver($pieces[1]->sheet, $pieces[0]->sheet, Length::max($wallHeight, $lidHeight)->plus($t)->toMillimetres())),
        ];
        $closed = new Extents($lid->columns->main()->plus($t), $lid->rows->main()->plus($t), Length::max($wallHeight, $lidHeight)->plus($t));

        return new Design($request, $pieces, $inside, $closed, [
            ...BoxRoom::fits($request, $inside, Fit::handMiss()->times(3)),
            $this->lidGoesOn(Length::min($lid->columns->main()->minus($tray->columns->main()), $lid->rows->main()->minus($tray->rows->main())), $lidWall, $chosen['lidPlay'], $t),
            Fit::plain('lid-not-taller-than-tray', $lidHeight, $wallHeight, $lidHeight, Length::zero()),
            ...array_filter([$trayWall->hemLiesFlat('tray', $tray, $request), $lidWall->hemLiesFlat('lid', $lid, $request)]),
            ...FromPaper::fits($pieces, $request),
        ], self::steps($pieces, $trayWall, $lidWall), BoxRoom::takes($request, $inside));
    }

    public function remedies(string $fit, Design $design): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($design->pieces),
            'lid-not-taller-than-tray' => [new Remedy('lid-half-as-deep', ['/options/lidDepth' => null])],
            'hem-lies-flat' => [
                ToolRemedies::finerTrimmer($design->request),
                new Remedy('single-walls', ['/options/trayWall' => Wall::SINGLE, '/options/lidWall' => Wall::SINGLE]),
            ],
            'card-fits-depth' => [new Remedy('depth-from-contents', ['/options/depth' => null])],
            default => [],
        };
    }

    /** @param Length $larger by how much the lid is larger than the tray, where that is least */
    private function lidGoesOn(Length $larger, Wall $wall, Length $play, Length $caliper): Fit
    {
        $paper = $caliper->times($wall->calipersOver());

        return new Fit('lid-goes-on', $play, $larger->minus($paper), Length::zero(), Fit::handMiss()->times(2), MakeUp::of(new Term(TermKind::Play, $play)));
    }

    /**
     * @param array{Piece, Piece} $pieces
     * @return list<WorkStep>
     */
    private static function steps(array $pieces, Wall $trayWall, Wall $lidWall): array
    {
        [$tray, $lid] = $pieces;

        return [
            ...GridWork::cutAndScore($tray),
            ...GridWork::cutAndScore($lid),
            ...$trayWall->cutAndFold($tray),
            ...$trayWall->glue($tray, 'square-it-round-the-contents'),
            ...$lidWall->cutAndFold($lid, ['decorate-flat']),
            // Round the real tray, before glue makes it too late.
            new WorkStep(Deed::TryFit, $lid->id, advice: $lidWall->whenTooTight()),
            ...$lidWall->glue($lid, 'square-it-round-the-tray'),
            new WorkStep(Deed::Fill, $tray->id),
            new WorkStep(Deed::Close, $lid->id),
        ];
    }
}
