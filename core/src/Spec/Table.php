<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Document\Limit;

/** Everything that a spec of one make can say: rows by pointer, those of its options and of what goes with it among them. */
final class Table
{
    /** A pointer longer than any field's is not one. */
    private const LONGEST_POINTER = 200;

    /** So many pointers are known: one request is read again and again while what mends it is looked for. */
    private const MOST_KNOWN = 2000;

    /** @var array<string, ?Node> those that were asked for before, by role and pointer */
    private array $nodes = [];

    public readonly Node $root;

    /** @var array<string, Node> what may stand in an entry of `with`, by its role */
    public readonly array $entries;

    /** @param list<string> $makes all there are */
    public function __construct(array $makes, public readonly ?Offer $make, public readonly AddedOffers $added)
    {
        $this->root = new Node;
        foreach (General::rows($makes) as $row) {
            foreach (self::whole($row) as $one) {
                $this->root->put($one);
            }
        }
        foreach ($make?->options() ?? [] as $option) {
            $isLength = $option->kind === Kind::Length && $option->ordinaryMm === null;
            $this->root->put(($isLength ? $option->ordinary(0.1, 610) : $option)->under('options')->emptied());
        }
        $entries = [];
        foreach ($added->ids() as $role) {
            $entries[$role] = new Node;
            $own = [Row::of('id', Kind::Id)->required(), Row::choice('role', $added->ids())->required()];
            foreach ([...$own, ...$added->find($role)?->rows() ?? []] as $row) {
                foreach (self::whole($row) as $one) {
                    $entries[$role]->put($one->since(3));
                }
            }
        }
        $this->entries = $entries;
    }

    /**
     * The row of a field; null where no field stands there.
     *
     * @param string $at a pointer, as `/with/2/border`
     * @param ?string $role of the entry of `with` it stands in
     */
    public function row(string $at, ?string $role = null): ?Row
    {
        return $this->node($at, $role)?->row;
    }

    /** Whether a field stands there, or what fields stand in: whether it is anything. */
    public function has(string $at, ?string $role = null): bool
    {
        return $this->node($at, $role) !== null;
    }

    /**
     * The role of the entry of `with` that a pointer stands in.
     *
     * @param array<mixed> $spec
     */
    public static function roleIn(array $spec, string $at): ?string
    {
        $with = preg_match('~^/with/(\d{1,3})/~', $at, $of) === 1 && is_array($spec['with'] ?? null) ? $spec['with'] : [];
        $entry = $with[(int) ($of[1] ?? 0)] ?? null;

        return is_array($entry) && is_string($entry['role'] ?? null) ? $entry['role'] : null;
    }

    /** @return list<string> the names of what may stand in it */
    public function names(string $at, ?string $role = null): array
    {
        return array_map(strval(...), array_keys($this->node($at, $role)->in ?? []));
    }

    /**
     * The same spec without objects in which nothing is said: as JSON comes, they cannot be told from empty lists.
     *
     * @param array<string, mixed> $spec
     * @return array<string, mixed>
     */
    public function withoutEmpty(array $spec): array
    {
        $spec = self::full($spec, $this->root);
        if (is_array($spec['with'] ?? null)) {
            $entries = array_map(fn (int|string $i): ?Node => $this->entries[self::roleIn($spec, "/with/$i/") ?? ''] ?? null, array_keys($spec['with']));
            $spec['with'] = array_map(fn (mixed $entry, ?Node $in): mixed => is_array($entry) && $in !== null ? self::full($entry, $in) : $entry, $spec['with'], $entries);
        }

        return $spec;
    }

    /**
     * @template K of array-key
     *
     * @param array<K, mixed> $said
     * @return array<K, mixed>
     */
    private static function full(array $said, Node $node): array
    {
        foreach ($said as $key => $value) {
            $in = $node->in[$key] ?? null;
            if ($in === null || ! is_array($value)) {
                continue;
            }
            $said[$key] = self::full($value, $in);
            $isObject = $in->row === null || in_array($in->row->kind, [Kind::Inner, Kind::Step, Kind::Border], true);
            if ($said[$key] === [] && $isObject) {
                unset($said[$key]);
            }
        }

        return $said;
    }

    private function node(string $at, ?string $role): ?Node
    {
        if (count($this->nodes) > self::MOST_KNOWN) {
            $this->nodes = [];
        }

        return $this->nodes["$role $at"] ??= $this->find($at, $role);
    }

    private function find(string $at, ?string $role): ?Node
    {
        if (strlen($at) > self::LONGEST_POINTER || ($at !== '' && $at[0] !== '/')) {
            return null;
        }
        $path = $at === '' ? [] : explode('/', substr($at, 1));
        if (($path[0] ?? '') !== 'with' || count($path) === 1) {
            return $this->root->at($path);
        }

        // An entry is anything until its role says what may stand in it.
        return count($path) === 2 && $role === null ? new Node : ($this->entries[$role ?? ''] ?? null)?->at(array_slice($path, 2));
    }

    /** @return list<Row> a row, and those inside it */
    private static function whole(Row $row): array
    {
        $in = fn (string $name): Row => Row::length($name)->required()->under($row->name);
        $sizes = fn (string $name): array => [Row::of($name, Kind::Pair)->under($row->name), $in("$name/0"), $in("$name/1")];

        return [$row, ...match ($row->kind) {
            Kind::Border => array_map(fn (string $side): Row => self::side($row, $side), ['width', 'height']),
            Kind::Middle => [$in('left'), $in('bottom')],
            Kind::Shape => [
                ...$sizes('rect'), Row::lengthOrZero('radius')->under($row->name), $in('circle'), ...$sizes('oval'),
                Row::of('ring', Kind::Ring, Limit::OUTLINE_POINTS)->under($row->name),
            ],
            Kind::Lengths => [$in('*')->moved(null)],
            Kind::Part => [Row::of('paper', Kind::PaperId)->under($row->name)],
            default => [],
        }];
    }

    private static function side(Row $border, string $side): Row
    {
        $row = Row::lengthOrZero($side)->under($border->name)->emptied();
        $row = $border->usual === null ? $row : $row->usually($border->usual);

        return $border->ordinaryMm === null ? $row : $row->ordinary(...$border->ordinaryMm);
    }
}
