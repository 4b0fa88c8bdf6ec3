<?php

declare(strict_types=1);

namespace Tests;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use RuntimeException;
use stdClass;

/** What api/openapi.json promises of each route's answers, held against what comes. */
final class Promised
{
    private const ID = 'https://gimbo.invalid/openapi.json';

    private static ?Validator $validator = null;

    private static ?stdClass $contract = null;

    /** What stands against an answer; null where it keeps what was promised. */
    public static function broken(string $method, string $route, int $status, string $answer): ?string
    {
        $path = '/paths/'.strtr($route, ['~' => '~0', '/' => '~1']).'/'.strtolower($method);
        $operation = self::contract()->paths->{$route}->{strtolower($method)} ?? null;
        if ($operation === null) {
            return "$method $route is not in the contract";
        }
        $promised = $operation->responses->{(string) $status} ?? null;
        if ($promised === null) {
            return "$method $route may not answer $status";
        }
        $content = $promised->content->{'application/json'} ?? null;

        return $content === null ? null : self::against("$path/responses/$status/content/application~1json/schema", $answer);
    }

    /** What stands against a document that is to be as one of the contract's schemas says. */
    public static function notA(string $schema, string $document): ?string
    {
        return self::against("/components/schemas/$schema", $document);
    }

    public static function contract(): stdClass
    {
        if (self::$contract === null) {
            $contract = json_decode((string) file_get_contents(__DIR__.'/../api/openapi.json'), false, 64, JSON_THROW_ON_ERROR);
            self::$contract = $contract instanceof stdClass ? $contract : throw new RuntimeException('The contract is an object.');
        }

        return self::$contract;
    }

    private static function against(string $pointer, string $document): ?string
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw((string) file_get_contents(__DIR__.'/../api/openapi.json'), self::ID);
        }
        $fragment = implode('/', array_map(rawurlencode(...), explode('/', $pointer)));
        $result = self::$validator->validate(json_decode($document, false, 512, JSON_THROW_ON_ERROR), (object) ['$ref' => self::ID."#$fragment"]);
        $error = $result->error();

        return $error === null ? null : "$pointer: ".json_encode((new ErrorFormatter)->format($error), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
    }
}
