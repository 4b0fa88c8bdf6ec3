<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Document\Limit;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthParser;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\CaliperText;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/** Reads a spec (an array as JSON gives it) into a complete request, or says everything that is wrong with it. */
final readonly class SpecReader
{
    private const FIELDS = ['make', 'holds', 'clearance', 'paper', 'papers', 'pieces', 'system', 'tools', 'options', 'with', 'wanted'];

    private const MOST_WANTED = 1000;

    private const MOST_PAPERS = 20;

    private const PAPER_ID = '/^[A-Za-z0-9][A-Za-z0-9_-]{0,39}$/D';

    private const MOST_ITEMS = 1000;

    private const HEAVIEST_PAPER = 2000;

    /** Of a paper's or a set of tools' name, which sizes nothing. */
    private const LONGEST_NAME = 60;

    public function __construct(private Offers $makes)
    {
    }

    /** @throws InvalidDocument */
    public function read(mixed $spec): SizingRequest
    {
        $spec = EarlierWith::brought($spec);
        $in = new FieldReader($spec);
        $in->allowOnly('', self::FIELDS);
        $make = $this->make($in);
        $system = System::from($in->choice('/system', array_column(System::cases(), 'value'), System::Imperial->value));
        $item = $this->item($in);
        $paper = $this->paper($in, '/paper');
        $papers = $this->papers($in);
        $ids = array_map(strval(...), array_keys($papers));
        $cutFrom = $this->cutFrom($in, $ids);
        $tools = $this->tools($in, $system);
        $with = AdditionReader::read($in, $system, $ids, $tools->punches);
        $options = $make === null ? new Options([], []) : $this->options($in, $make, $item);
        $usual = $make?->usualClearance($item, $system) ?? new Clearance(Length::zero(), Length::zero(), Length::zero());
        $in->allowOnly('/clearance', ['width', 'height', 'depth']);
        $clearance = new Clearance(
            $in->length('/clearance/width', mayBeZero: true) ?? $usual->width,
            $in->length('/clearance/height', mayBeZero: true) ?? $usual->height,
            $in->length('/clearance/depth', mayBeZero: true) ?? $usual->depth,
        );
        $wanted = $in->count('/wanted', self::MOST_WANTED) ?? 1;
        $in->throwProblems();
        assert($make !== null && is_array($spec));
        /** @var array<string, mixed> $spec */
        $body = array_values(array_intersect_key($cutFrom, array_flip($make->body())))[0] ?? null;

        return new SizingRequest($make->id(), $item, $clearance, $body === null ? $paper : $papers[$body], $system, $tools, $options, $spec, $papers + [Paper::MAIN => $paper], $cutFrom, $with, $wanted);
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

    private function item(FieldReader $in): Item
    {
        $in->allowOnly('/holds', ['width', 'height', 'thickness', 'count', 'layers', 'outline']);
        $measured = $in->length('/holds/thickness');
        $layers = $measured === null ? $this->layers($in) : null;
        $item = new Item(
            $in->required('/holds/width'),
            $in->required('/holds/height'),
            // What was measured; else what its layers come to; else one folded card of ordinary paper.
            $measured ?? $layers?->thickness() ?? Paper::usualCaliper()->times(2),
            $in->count('/holds/count', self::MOST_ITEMS) ?? 1,
            $in->ring('/holds/outline', Limit::OUTLINE_POINTS),
            $layers,
        );
        if ($item->stack()->isMoreThan(LengthParser::limit())) {
            $in->problem('/holds/thickness', Reason::of('stack.too-thick', ['count' => $item->count]));
        }

        return $item;
    }

    private function layers(FieldReader $in): ?CardLayers
    {
        $in->allowOnly('/holds/layers', ['card', 'mats', 'mat', 'decoration', 'envelope', 'liner']);

        return $in->get('/holds/layers') === null ? null : CardLayers::of($in);
    }

    private function paper(FieldReader $in, string $at, string $id = Paper::MAIN): Paper
    {
        $in->allowOnly($at, ['caliper', 'grammage', 'sheet', 'name', 'colour', 'direction', 'sides', 'grain']);
        $in->allowOnly("$at/sheet", ['width', 'height']);
        $grammage = $in->count("$at/grammage", self::HEAVIEST_PAPER);
        $known = $grammage === null ? Paper::usualCaliper() : Paper::caliperOf($grammage);
        $sheet = $in->get("$at/sheet") === null ? null
            : new Rectangle($in->required("$at/sheet/width"), $in->required("$at/sheet/height"));

        return new Paper(
            $in->length("$at/caliper", mayBeZero: true, read: CaliperText::parse(...)) ?? $known, $grammage, $sheet, $id,
            $in->optionalName("$at/name", self::LONGEST_NAME), $in->colour("$at/colour"),
            $in->choice("$at/direction", ['none', 'up'], 'none') === 'up', $in->count("$at/sides", 2) ?? 1, $in->choice("$at/grain", ['none', 'long', 'short'], 'none'),
        );
    }

    /** @return array<string, Paper> by id */
    private function papers(FieldReader $in): array
    {
        $given = $in->get('/papers') ?? [];
        if (! is_array($given) || count($given) > self::MOST_PAPERS || array_filter(array_keys($given), fn (int|string $id) => preg_match(self::PAPER_ID, (string) $id) !== 1) !== []) {
            $in->problem('/papers', Reason::of('papers.shape', ['most' => self::MOST_PAPERS]));

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
    private function cutFrom(FieldReader $in, array $papers): array
    {
        $given = $in->get('/pieces') ?? [];
        if (! is_array($given) || ($given !== [] && array_is_list($given))) {
            $in->problem('/pieces', Reason::of('field.not-an-object', ['known' => ['paper']]));

            return [];
        }
        $cutFrom = [];
        foreach (array_keys($given) as $piece) {
            $in->allowOnly("/pieces/$piece", ['paper']);
            $paper = $in->get("/pieces/$piece/paper");
            if (is_string($paper) && in_array($paper, $papers, true)) {
                $cutFrom[(string) $piece] = $paper;
            } elseif ($paper !== null) {
                $in->problem("/pieces/$piece/paper", Reason::of('paper.unknown', ['text' => Reason::quote(is_string($paper) ? $paper : get_debug_type($paper)), 'known' => $papers]));
            }
        }

        return $cutFrom;
    }

    private function tools(FieldReader $in, System $system): Tools
    {
        $in->allowOnly('/tools', ['cut', 'score', 'trimmer-score', 'punch', 'slant', 'notch', 'reach', 'readings', 'name', 'punches']);
        $in->optionalName('/tools/name', self::LONGEST_NAME);
        $usual = Tools::usual($system);
        $reaches = array_filter([
            ToolKind::Trimmer->value => ToolFields::reach($in, 'cut'), ToolKind::ScoringBoard->value => ToolFields::reach($in, 'score'),
            ToolKind::TrimmerScore->value => ToolFields::reach($in, 'trimmer-score'), ToolKind::PunchBoard->value => ToolFields::reach($in, 'punch'),
        ]);
        $in->allowOnly('/tools/slant', ['reach']);

        return new Tools(
            ToolFields::step($in, 'cut') ?? $usual->cut, ToolFields::step($in, 'score') ?? $usual->score, ToolFields::step($in, 'punch', ['notch', 'reads']) ?? $usual->punch,
            $in->length('/tools/notch') ?? ToolFields::inside($in, 'punch', fn (string $at) => $in->length("$at/notch")) ?? $usual->notch,
            $in->length('/tools/reach'),
            ToolFields::step($in, 'trimmer-score'),
            $reaches,
            $in->length('/tools/slant/reach'),
            ToolFields::inside($in, 'punch', fn (string $at) => $in->choice("$at/reads", ['both', 'left'], 'both')) === 'left',
            $in->choice('/tools/readings', [Tools::READ_ON, Tools::EACH_EDGE], Tools::READ_ON) === Tools::READ_ON,
            PunchReader::read($in),
        );
    }

    private function options(FieldReader $in, Offer $make, Item $item): Options
    {
        $specs = $make->options();
        $in->allowOnly('/options', array_map(fn (OptionSpec $option) => $option->id, $specs), 'option.unknown');
        $choices = [];
        $lengths = [];
        $counts = [];
        foreach ($specs as $option) {
            $at = "/options/$option->id";
            if ($option->kind === OptionKind::Choice) {
                $choices[$option->id] = $in->choice($at, $option->choices, $option->choices[0] ?? '');
            } elseif ($option->kind === OptionKind::Count) {
                $counts[$option->id] = $in->count($at, $option->most, $option->least) ?? ($option->usual === null ? $option->least : ($option->usual)($item));
            } elseif (($length = $in->length($at, $option->mayBeZero)) !== null) {
                $lengths[$option->id] = $length;
            }
        }

        return new Options($choices, $lengths, $counts);
    }
}
