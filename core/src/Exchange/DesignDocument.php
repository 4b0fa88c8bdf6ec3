<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Document\FieldReader;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Problem;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Sizing;

/**
 * A design as it is saved and handed on: a name, the request it is sized from and the maker's notes, never the figures themselves.
 *
 * Version 2: `{"format": "gimbo-design", "version": 2, "name": …, "spec": {…}, "notes": …}` (docs/adr/0004). A document of a later
 * version is refused; an earlier one keeps the defaults it was sized with (EarlierSpec).
 */
final readonly class DesignDocument
{
    public const FORMAT = 'gimbo-design';

    public const VERSION = 3;

    public const LONGEST_NAME = 80;

    public const LONGEST_NOTES = 2000;

    /** @param array<string, mixed> $spec */
    private function __construct(public string $name, public array $spec, public string $notes, public string $by)
    {
    }

    /**
     * @param array<string, mixed> $spec
     * @param mixed $notes the maker's own, for those who get the design
     * @param mixed $by from whom it comes: it stays with copies
     *
     * @throws InvalidDocument when the name is no name, or the notes are too long
     */
    public static function of(mixed $name, array $spec, mixed $notes = null, mixed $by = null): self
    {
        $in = new FieldReader(['name' => $name, 'notes' => $notes, 'by' => $by]);
        $plain = $in->name('/name', self::LONGEST_NAME);
        $said = $in->text('/notes', self::LONGEST_NOTES);
        $from = trim($in->text('/by', self::LONGEST_NAME));
        $in->throwProblems();

        return new self($plain, $spec, $said, $from);
    }

    /**
     * The same under another name.
     *
     * @throws InvalidDocument when that is no name
     */
    public function named(mixed $name): self
    {
        return self::of($name, $this->spec, $this->notes, $this->by);
    }

    /**
     * The same with another request.
     *
     * @param array<string, mixed> $spec
     */
    public function sizedBy(array $spec): self
    {
        return new self($this->name, $spec, $this->notes, $this->by);
    }

    /**
     * Reads a document somebody handed on; it is refused whole unless its spec can be sized.
     *
     * @param mixed $document as JSON gives it
     *
     * @throws InvalidDocument at the field
     */
    public static function read(mixed $document, Sizing $sizing): self
    {
        if (! is_array($document) || ($document['format'] ?? null) !== self::FORMAT) {
            throw InvalidDocument::at('/format', Reason::of('document.foreign', ['format' => self::FORMAT]));
        }
        $version = $document['version'] ?? null;
        if (! is_int($version) || $version < 1 || $version > self::VERSION) {
            throw InvalidDocument::at('/version', Reason::of('document.version', ['version' => self::VERSION]));
        }
        try {
            $design = $sizing->size(self::spec($document['spec'] ?? null, $version));
        } catch (InvalidDocument $error) {
            throw InvalidDocument::because(array_map(fn (Problem $problem) => new Problem('/spec'.$problem->at, $problem->reason), $error->problems));
        }

        return self::of($document['name'] ?? null, $design->request->spec, $document['notes'] ?? null, $document['by'] ?? null);
    }

    /**
     * A document that was kept: trusted, for nothing is kept that was not read and sized before.
     *
     * @param array<string, mixed> $kept
     */
    public static function kept(array $kept): self
    {
        $version = is_int($kept['version'] ?? null) ? $kept['version'] : 1;

        /** @var array<string, mixed> $spec */
        $spec = self::spec($kept['spec'] ?? [], $version);

        return self::of($kept['name'] ?? null, $spec, $kept['notes'] ?? null, $kept['by'] ?? null);
    }

    private static function spec(mixed $spec, int $version): mixed
    {
        if (! is_array($spec) || array_is_list($spec)) {
            return $spec;
        }

        /** @var array<string, mixed> $spec */
        return EarlierSpec::brought($spec, $version);
    }

    /** @return array{format: string, version: int, name: string, spec: array<string, mixed>, notes?: string, by?: string} notes, and from whom it comes, only where there are some */
    public function toArray(): array
    {
        return ['format' => self::FORMAT, 'version' => self::VERSION, 'name' => $this->name, 'spec' => $this->spec] + ($this->notes === '' ? [] : ['notes' => $this->notes]) + ($this->by === '' ? [] : ['by' => $this->by]);
    }
}
