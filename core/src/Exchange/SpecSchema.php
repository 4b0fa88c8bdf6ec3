<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\Side;
use Gimbo\Core\Spec\AddedOffers;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Node;
use Gimbo\Core\Spec\Offer;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\Table;

/**
 * What a spec may say, as a JSON Schema (2020-12) made of the table's rows. What hangs on what else is said, as the ids of papers, is for
 * the reader; whatever that accepts is valid here.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class SpecSchema
{
    /** An object in which nothing is said, as it may come out of a program that has one kind of list for both. */
    private const NOTHING = ['type' => 'array', 'maxItems' => 0];

    /** @param string $refs what references to the definitions begin with */
    private function __construct(private string $refs)
    {
    }

    /**
     * @param list<Offer> $makes
     * @return array<string, Json> definitions by name: `Spec`, and those it refers to
     */
    public static function definitions(array $makes, AddedOffers $added, string $refs = '#/$defs/'): array
    {
        $schema = new self($refs);
        $ids = array_map(fn (Offer $make): string => $make->id(), $makes);
        $general = new Table($ids, null, $added);
        $spec = $schema->object($general->root);
        $definitions = [
            'MakeId' => ['type' => 'string', 'enum' => $ids],
            'Length' => ['type' => 'string', 'description' => 'a number with its unit: `5 1/2 in`, `148 mm`, `14.8 cm`'],
            'OrLength' => ['type' => ['string', 'null'], 'description' => 'a length; null is like not there'],
        ];
        $entries = $hung = [];
        foreach ($added->ids() as $role) {
            $definitions[self::name('With', $role)] = self::only($schema->object($general->entries[$role]), ['role' => ['const' => $role]]);
            $entries[] = $schema->ref(self::name('With', $role));
        }
        foreach ($makes as $make) {
            $options = (new Table($ids, $make, $added))->root->in['options'];
            $definitions[self::name('Options', $make->id())] = $schema->object($options);
            $hung[] = [
                'if' => ['properties' => ['make' => ['const' => $make->id()]]],
                'then' => ['properties' => ['options' => ['anyOf' => [['type' => 'null'], $schema->ref(self::name('Options', $make->id()))]]]],
            ];
        }
        $definitions['Addition'] = ['anyOf' => $entries];
        $spec = self::only($spec, [
            'make' => $schema->ref('MakeId'),
            'options' => ['type' => ['object', 'null'], 'description' => 'of the make'],
            'with' => ['type' => ['array', 'null'], 'items' => $schema->ref('Addition'), 'maxItems' => $general->row('/with')?->most],
        ]);

        return ['Spec' => $spec + ['allOf' => $hung]] + $definitions;
    }

    /**
     * The whole of it, as it is published.
     *
     * @param list<Offer> $makes
     * @return Json
     */
    public static function document(array $makes, AddedOffers $added): array
    {
        $definitions = self::definitions($makes, $added);
        $spec = $definitions['Spec'];
        unset($definitions['Spec']);

        return ['$schema' => 'https://json-schema.org/draft/2020-12/schema', 'title' => 'What is asked of Gimbo: a spec'] + $spec + ['$defs' => $definitions];
    }

    /**
     * @param Json $schema
     * @param array<string, Json> $properties in place of its own
     * @return Json
     */
    private static function only(array $schema, array $properties): array
    {
        /** @var Json $own */
        $own = $schema['properties'] ?? [];

        return ['properties' => array_replace($own, $properties)] + $schema;
    }

    private static function name(string $prefix, string $id): string
    {
        return $prefix.str_replace(' ', '', ucwords(strtr($id, '-', ' ')));
    }

    /** @return Json */
    private function ref(string $name): array
    {
        return ['$ref' => $this->refs.$name];
    }

    /** @return Json */
    private function node(Node $node): array
    {
        $row = $node->row;
        if ($row !== null && ! in_array($row->kind, [Kind::Inner, Kind::Part, Kind::Border, Kind::Middle, Kind::Step, Kind::Pair, Kind::Lengths, Kind::Entries, Kind::Shape], true)) {
            return $this->value($row);
        }
        $inner = match ($row?->kind) {
            Kind::Pair => ['type' => 'array', 'prefixItems' => [$this->ref('Length'), $this->ref('Length')], 'items' => false, 'minItems' => 2, 'maxItems' => 2],
            Kind::Lengths => ['type' => 'array', 'items' => $this->ref('Length'), 'maxItems' => $row->most],
            Kind::Entries => ['type' => 'array', 'maxItems' => $row->most] + (isset($node->in['*']) ? ['items' => $this->node($node->in['*'])] : []),
            // One of them is enough.
            Kind::Shape => array_diff_key($this->object($node), ['required' => true]),
            default => $this->object($node),
        };

        return match ($row?->kind) {
            Kind::Part => ['anyOf' => [['type' => 'null'], self::NOTHING, $inner]],
            Kind::Border, Kind::Step => ['anyOf' => [$this->ref('OrLength'), $inner]],
            Kind::Middle => ['anyOf' => [['enum' => ['middle', null]], $inner]],
            default => self::orNull($inner),
        };
    }

    /** @return Json */
    private function object(Node $node): array
    {
        $any = $node->in['*'] ?? null;
        if ($any !== null) {
            return ['type' => 'object', 'additionalProperties' => ['anyOf' => [self::NOTHING, $this->node($any)]]];
        }
        $required = array_keys(array_filter($node->in, fn (Node $in): bool => $in->row?->isRequired === true));

        return ['type' => 'object', 'properties' => array_map($this->node(...), $node->in), 'additionalProperties' => false]
            + ($required === [] ? [] : ['required' => array_map(strval(...), $required)]);
    }

    /** @return Json of what holds nothing else */
    private function value(Row $row): array
    {
        $length = $row->isRequired ? $this->ref('Length') : $this->ref('OrLength');

        return match ($row->kind) {
            Kind::Length, Kind::Caliper => $length,
            Kind::Count => ['type' => ['integer', 'null'], 'minimum' => $row->least, 'maximum' => $row->most],
            Kind::Choice => $row->isRequired ? ['enum' => $row->choices] : ['enum' => [...$row->choices, null]],
            Kind::Side => ['enum' => [...array_column(Side::cases(), 'value'), '', null]],
            Kind::Ids => ['type' => ['array', 'null'], 'items' => ['type' => 'string']],
            Kind::Ring => ['type' => ['array', 'null'], 'maxItems' => $row->most, 'items' => [
                'type' => 'array', 'prefixItems' => [['type' => 'number'], ['type' => 'number']], 'items' => false, 'minItems' => 2, 'maxItems' => 2,
            ]],
            Kind::Colour => ['type' => ['string', 'null'], 'pattern' => '^(#[0-9a-fA-F]{6})?$'],
            default => ['type' => $row->isRequired ? 'string' : ['string', 'null']],
        };
    }

    /**
     * @param Json $schema
     * @return Json
     */
    private static function orNull(array $schema): array
    {
        return ['anyOf' => [['type' => 'null'], $schema]];
    }
}
