<?php

declare(strict_types=1);

namespace App\Http;

use Gimbo\Core\Document\JsonText;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Illuminate\Http\Request;

/** The body of a request, read as JSON once and whole. */
final readonly class JsonBody
{
    private function __construct(public mixed $value)
    {
    }

    /** @throws InvalidDocument where the body is no JSON */
    public static function of(Request $request): self
    {
        $json = $request->getContent();

        return new self($json === '' ? [] : JsonText::decode($json, (int) config('gimbo.largest_body')));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidDocument where it is no object
     */
    public function object(): array
    {
        if (! is_array($this->value)) {
            throw InvalidDocument::at('', Reason::of('document.not-an-object'));
        }

        /** @var array<string, mixed> */
        return $this->value;
    }
}
