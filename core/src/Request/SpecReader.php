<?php

declare(strict_types=1);

namespace Gimbo\Core\Request;

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
    private const FIELDS = ['make', 'holds', 'clearance', 'paper', 'system', 'tools', 'options', 'border', 'closure'];

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
        $in = new FieldReader($spec);
        $in->allowOnly('', self::FIELDS);
        $make = $this->make($in);
        $system = System::from($in->choice('/system', array_column(System::cases(), 'value'), System::Imperial->value));
        $item = $this->item($in);
        $paper = $this->paper($in);
        $tools = $this->tools($in, $system);
        $options = $make === null ? new Options([], []) : $this->options($in, $make, $item);
        $usual = $make?->usualClearance($item, $system) ?? new Clearance(Length::zero(), Length::zero(), Length::zero());
        $in->allowOnly('/clearance', ['width', 'height', 'depth']);
        $clearance = new Clearance(
            $in->length('/clearance/width', mayBeZero: true) ?? $usual->width,
            $in->length('/clearance/height', mayBeZero: true) ?? $usual->height,
            $in->length('/clearance/depth', mayBeZero: true) ?? $usual->depth,
        );
        $border = $in->length('/border');
        $closure = ClosureKind::from($in->choice('/closure', array_column(ClosureKind::cases(), 'value'), ClosureKind::None->value));
        $in->throwProblems();
        assert($make !== null && is_array($spec));
        /** @var array<string, mixed> $spec */

        return new SizingRequest($make->id(), $item, $clearance, $paper, $system, $tools, $options, $spec, $border, $closure);
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

    private function paper(FieldReader $in): Paper
    {
        $in->allowOnly('/paper', ['caliper', 'grammage', 'sheet', 'name', 'colour']);
        $in->optionalName('/paper/name', self::LONGEST_NAME);
        $in->colour('/paper/colour');
        $in->allowOnly('/paper/sheet', ['width', 'height']);
        $grammage = $in->count('/paper/grammage', self::HEAVIEST_PAPER);
        $known = $grammage === null ? Paper::usualCaliper() : Paper::caliperOf($grammage);
        $sheet = $in->get('/paper/sheet') === null ? null
            : new Rectangle($in->required('/paper/sheet/width'), $in->required('/paper/sheet/height'));

        return new Paper($in->length('/paper/caliper', mayBeZero: true, read: CaliperText::parse(...)) ?? $known, $grammage, $sheet);
    }

    private function tools(FieldReader $in, System $system): Tools
    {
        $in->allowOnly('/tools', ['cut', 'score', 'trimmer-score', 'punch', 'slant', 'notch', 'reach', 'readings', 'name']);
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
