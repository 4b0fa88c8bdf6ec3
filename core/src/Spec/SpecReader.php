<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/** Reads a spec (an array as JSON gives it) into a complete request, or says everything that is wrong with it. */
final class SpecReader
{
    private const PAPER_ID = '/^[A-Za-z0-9][A-Za-z0-9_-]{0,39}$/D';

    /** @var array<string, Table> by make */
    private array $tables = [];

    public function __construct(private readonly Offers $makes, private readonly AddedOffers $added)
    {
    }

    /** Everything that can be asked of a make; of none that is known, what can be asked of any. */
    public function table(string $make): Table
    {
        $found = $this->makes->find($make);

        return $this->tables[$found?->id() ?? ''] ??= new Table($this->makes->ids(), $found, $this->added);
    }

    /** @throws InvalidDocument */
    public function read(mixed $spec): SizingRequest
    {
        $spec = EarlierWith::brought($spec);
        $fields = new FieldReader($spec);
        $id = $fields->get('/make');
        $table = $this->table(is_string($id) ? $id : '');
        $in = new Reading($fields, $table);
        $in->only('');
        $make = $this->make($fields);
        $system = System::from($in->choice('/system'));
        $item = $this->item($in);
        $paper = $this->paper($in, '/paper');
        $papers = $this->papers($in);
        $ids = array_map(strval(...), array_keys($papers));
        $cutFrom = $this->cutFrom($in, $ids);
        $tools = $this->tools($in, $system);
        $with = AdditionReader::read($in, $this->added, new Circumstances($system, $item, $tools->punches), $ids);
        $options = $make === null ? new Options([], []) : $this->options($in, $make, new Circumstances($system, $item));
        $usual = $make?->usualClearance($item, $system) ?? new Clearance(Length::zero(), Length::zero(), Length::zero());
        $in->only('/clearance');
        $clearance = new Clearance(
            $in->lengthOr('/clearance/width', $usual->width), $in->lengthOr('/clearance/height', $usual->height),
            $in->lengthOr('/clearance/depth', $usual->depth),
        );
        $wanted = $in->count('/wanted', 1) ?? 1;
        $fields->throwProblems();
        assert($make !== null && is_array($spec));
        /** @var array<string, mixed> $spec */
        $body = array_values(array_intersect_key($cutFrom, array_flip($make->body())))[0] ?? null;

        return new SizingRequest(
            $make->id(), $item, $clearance, $body === null ? $paper : $papers[$body], $system, $tools, $options, $table->withoutEmpty($spec),
            $papers + [Paper::MAIN => $paper], $cutFrom, $with, $wanted, $in->lengths, $in->counts,
        );
    }

    private function make(FieldReader $in): ?Offer
    {
        $id = $in->get('/make');
        if ($id === null) {
            $in->problem('/make', Reason::of('field.missing', ['known' => $this->makes->ids()]));

            return null;
        }
        $make = is_string($id) ? $this->makes->find($id) : null;
        if ($make === null) {
            $text = Reason::quote(is_string($id) ? $id : get_debug_type($id));
            $in->problem('/make', Reason::of('make.unknown', ['text' => $text, 'known' => $this->makes->ids()]));
        }

        return $make;
    }

    private function item(Reading $in): Item
    {
        $in->only('/holds');
        $measured = $in->length('/holds/thickness');
        $layers = $measured === null ? $this->layers($in) : null;
        $item = new Item(
            $in->required('/holds/width'),
            $in->required('/holds/height'),
            // What was measured; else what its layers come to; else one folded card of ordinary paper.
            $in->lengthOr('/holds/thickness', $layers?->thickness() ?? Paper::usualCaliper()->times(2)),
            $in->count('/holds/count', 1) ?? 1,
            $in->ring('/holds/outline'),
            $layers,
        );
        if ($item->stack()->isMoreThan(LengthParser::limit())) {
            $in->in->problem('/holds/thickness', Reason::of('stack.too-thick', ['count' => $item->count]));
        }

        return $item;
    }

    private function layers(Reading $in): ?CardLayers
    {
        $in->only('/holds/layers');

        return $in->isSaid('/holds/layers') ? CardLayers::of($in) : null;
    }

    private function paper(Reading $in, string $at, string $id = Paper::MAIN): Paper
    {
        $in->only($at);
        $in->only("$at/sheet");
        $grammage = $in->count("$at/grammage");
        $known = $grammage === null ? Paper::usualCaliper() : Paper::caliperOf($grammage);
        $sheet = $in->isSaid("$at/sheet") ? new Rectangle($in->required("$at/sheet/width"), $in->required("$at/sheet/height")) : null;

        return new Paper(
            $in->lengthOr("$at/caliper", $known), $grammage, $sheet, $id, $in->name("$at/name"), $in->in->colour("$at/colour"),
            $in->choice("$at/direction") === 'up', $in->count("$at/sides", 1) ?? 1, $in->choice("$at/grain"),
        );
    }

    /** @return array<string, Paper> by id */
    private function papers(Reading $in): array
    {
        $given = $in->in->get('/papers') ?? [];
        $isId = fn (int|string $id): bool => preg_match(self::PAPER_ID, (string) $id) === 1;
        if (! is_array($given) || count($given) > General::MOST_PAPERS || count(array_filter(array_keys($given), $isId)) < count($given)) {
            $in->in->problem('/papers', Reason::of('papers.shape', ['most' => General::MOST_PAPERS]));

            return [];
        }
        $papers = [];
        foreach (array_keys($given) as $id) {
            $papers[(string) $id] = $this->paper($in, "/papers/$id", (string) $id);
        }

        return $papers;
    }

    /**
     * @param list<string> $papers ids of those there are
     * @return array<string, string> the paper's id, by piece
     */
    private function cutFrom(Reading $in, array $papers): array
    {
        $given = $in->in->get('/pieces') ?? [];
        if (! is_array($given) || ($given !== [] && array_is_list($given))) {
            $in->in->problem('/pieces', Reason::of('field.not-an-object', ['known' => ['paper']]));

            return [];
        }
        $cutFrom = [];
        foreach (array_keys($given) as $piece) {
            $in->only("/pieces/$piece");
            $paper = $in->paper("/pieces/$piece/paper", $papers);
            $paper === null || $cutFrom[(string) $piece] = $paper;
        }

        return $cutFrom;
    }

    private function tools(Reading $in, System $system): Tools
    {
        $in->only('/tools');
        $in->name('/tools/name');
        $usual = Tools::usual($system);
        $reaches = array_filter([
            ToolKind::Trimmer->value => ToolFields::reach($in, 'cut'), ToolKind::ScoringBoard->value => ToolFields::reach($in, 'score'),
            ToolKind::TrimmerScore->value => ToolFields::reach($in, 'trimmer-score'), ToolKind::PunchBoard->value => ToolFields::reach($in, 'punch'),
        ]);
        $in->only('/tools/slant');

        return new Tools(
            $in->step('cut', $usual->cut) ?? $usual->cut, $in->step('score', $usual->score) ?? $usual->score,
            $in->step('punch', $usual->punch) ?? $usual->punch,
            // What is said of the board itself comes after what is said beside it.
            $in->lengthOr('/tools/notch', ToolFields::inside($in, 'punch', fn (string $at) => $in->length("$at/notch")) ?? $usual->notch),
            $in->length('/tools/reach'),
            $in->step('trimmer-score', null),
            $reaches,
            $in->length('/tools/slant/reach'),
            ToolFields::inside($in, 'punch', fn (string $at) => $in->choice("$at/reads")) === 'left',
            $in->choice('/tools/readings') === Tools::READ_ON,
            PunchReader::read($in),
        );
    }

    private function options(Reading $in, Offer $make, Circumstances $among): Options
    {
        $in->only('/options', reason: 'option.unknown');
        $choices = [];
        $lengths = [];
        $counts = [];
        foreach ($make->options() as $option) {
            $at = "/options/$option->name";
            if ($option->kind === Kind::Choice) {
                $choices[$option->name] = $in->choice($at);
            } elseif ($option->kind === Kind::Count) {
                $usual = $option->usual === null ? $option->least : ($option->usual)($among);
                $counts[$option->name] = $in->count($at, is_int($usual) ? $usual : $option->least) ?? $option->least;
            } elseif (($length = $in->length($at)) !== null) {
                $lengths[$option->name] = $length;
            }
        }

        return new Options($choices, $lengths, $counts);
    }
}
