<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Assert;
use Symfony\Component\CssSelector\CssSelectorConverter;

/**
 * The same pages over plain HTTP, in the browser's own session: fills and sends a form as it stands, without drawing
 * it.
 */
final class Wire
{
    private \DOMXPath $page;

    /** Where the page that stands here came from. */
    private string $address;

    private readonly CssSelectorConverter $css;

    public function __construct(
        private readonly string $base,
        private readonly string $cookies,
        string $path,
        private readonly string $password = 'bleed-it-dry',
    ) {
        $this->css = new CssSelectorConverter();
        $this->address = $base.$path;
        $this->send($path);
    }

    /** A session of its own, for somebody else. */
    public static function signedIn(string $base, string $login, string $path): self
    {
        $jar = (string) tempnam(sys_get_temp_dir(), 'aqbel-wire');
        $ask = function (?array $post) use ($base, $jar): string {
            $curl = curl_init("{$base}/sign-in");
            curl_setopt_array(
                $curl,
                [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar]
                    + ($post === null ? [] : [CURLOPT_POSTFIELDS => http_build_query($post)]),
            );

            return (string) curl_exec($curl);
        };
        preg_match('/name="_token" value="([^"]+)/', $ask(null), $token);
        $ask(['_token' => $token[1] ?? '', 'login' => $login, 'password' => 'bleed-it-dry']);
        $cookies = [];
        foreach (file($jar) ?: [] as $line) {
            $parts = explode("\t", trim($line));
            $cookies[] = count($parts) === 7 ? "{$parts[5]}={$parts[6]}" : '';
        }
        unlink($jar);

        return new self($base, implode('; ', array_filter($cookies)), $path);
    }

    public function visit(string $path): void
    {
        $this->address = $this->base.$path;
        $this->send($path);
    }

    /** @param  array<string, string|bool>  $fields */
    /** From a sheet on which steps are done together to the page of the first of them. */
    public function oneByOne(): void
    {
        $link = $this->page->query($this->css->toXPath('.sheet-block header a'))->item(0);
        if ($link instanceof \DOMElement) {
            $this->visit($link->getAttribute('href'));
        }
    }

    public function record(string $name, array $fields): void
    {
        $inside = sprintf('//form[contains(@class,"entry")][input[@name="form" and @value=%s]]', self::quoted($name));
        $form = $this->one($inside, "There is no form “{$name}”");
        $values = $this->values($form);
        foreach ($fields as $field => $value) {
            unset($values["fields[{$field}]"]);
            if ($value !== false) {
                $values["fields[{$field}]"] = $value === true ? '1' : $value;
            }
        }
        $this->post($form, $values);
    }

    /**
     * Corrects the last line shown.
     *
     * @param  array<string, string>  $fields
     */
    public function correct(array $fields, string $why): void
    {
        if ($this->has('a[data-correct], .evidence a')) {
            $links = $this->page->query($this->css->toXPath('.evidence a'));
            $link = $links->item($links->length - 1);
            Assert::assertInstanceOf(\DOMElement::class, $link);
            $this->visit((string) parse_url($link->getAttribute('href'), PHP_URL_PATH));
        }
        $form = $this->one('//form[contains(@class,"entry")]', 'There is nothing to correct');
        $values = [...$this->values($form), 'reason' => $why];
        foreach ($fields as $field => $value) {
            $values["fields[{$field}]"] = $value;
        }
        $this->post($form, $values);
    }

    public function tickAll(): void
    {
        $form = $this->one(
            '//form[contains(@class,"entry")][.//*[contains(@class,"tick")]]',
            'There is nothing to tick',
        );
        $values = $this->values($form);
        foreach ($this->page->query('.//input[@type="checkbox"]', $form) ?: [] as $tick) {
            $values[$tick->getAttribute('name')] = '1';
        }
        $this->post($form, $values);
    }

    /** Finishes the step in hand, whatever its button is called. */
    public function finish(): void
    {
        $this->one(
            '//form[contains(@class,"finish")]//button[contains(@class,"button-finish")]',
            'This step cannot be finished',
        );
        $form = $this->one('//form[contains(@class,"finish")]', 'There is nothing to finish');
        $values = $this->values($form);
        $this->post($form, [...$values, ...isset($values['known']) ? ['known' => $this->password] : []]);
    }

    /** Of the page shown. */
    public function job(): string
    {
        preg_match('#/jobs/(\d+)#', $this->address, $found);

        return $found[1] ?? '';
    }

    /** Presses a button of a form that asks nothing. */
    public function press(string $text): void
    {
        $button = $this->one(
            sprintf('//button[normalize-space()=%s]', self::quoted($text)),
            "There is no button “{$text}”",
        );
        $form = $this->page->query('ancestor::form', $button)->item(0);
        Assert::assertInstanceOf(\DOMElement::class, $form);
        $this->post($form, $this->values($form));
    }

    public function has(string $selector): bool
    {
        return $this->page->query($this->css->toXPath($selector))->length > 0;
    }

    public function text(string $selector): string
    {
        $element = $this->one($this->css->toXPath($selector), "There is no {$selector}");

        return trim((string) preg_replace('/\s+/u', ' ', $element->textContent));
    }

    /** @return array<string, string> as they stand in the form */
    private function values(\DOMElement $form): array
    {
        $values = [];
        foreach ($this->page->query('.//input | .//select | .//textarea', $form) ?: [] as $field) {
            $type = $field->getAttribute('type');
            $off = in_array($type, ['radio', 'checkbox'], true) && ! $field->hasAttribute('checked');
            if ($off || $type === 'file' || $field->getAttribute('name') === '') {
                continue;
            }
            $chosen = $this->page->query('.//option[@selected]', $field)->item(0);
            $values[$field->getAttribute('name')] = match ($field->nodeName) {
                'select' => $chosen instanceof \DOMElement ? $chosen->getAttribute('value') : '',
                'textarea' => $field->textContent,
                default => $type === 'checkbox' ? '1' : $field->getAttribute('value'),
            };
        }

        return $values;
    }

    /** @param  array<string, string>  $values */
    private function post(\DOMElement $form, array $values): void
    {
        $this->send((string) parse_url($form->getAttribute('action'), PHP_URL_PATH), $values);
    }

    /** @param  ?array<string, string>  $post */
    private function send(string $path, ?array $post = null): void
    {
        $curl = curl_init($this->base.$path);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_FOLLOWLOCATION => true, CURLOPT_COOKIE => $this->cookies,
            CURLOPT_REFERER => $this->address,
        ] + ($post === null ? [] : [CURLOPT_POSTFIELDS => http_build_query($post)]));
        $body = (string) curl_exec($curl);
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        Assert::assertSame(200, $status, "{$path} answered {$status}");
        $this->address = curl_getinfo($curl, CURLINFO_EFFECTIVE_URL);
        $dom = new \DOMDocument;
        $dom->loadHTML('<?xml encoding="utf-8">'.$body, LIBXML_NOERROR);
        $this->page = new \DOMXPath($dom);
    }

    private function one(string $path, string $missing): \DOMElement
    {
        $found = $this->page->query($path)->item(0);
        $main = $this->page->query('//main')->item(0)?->textContent;
        Assert::assertInstanceOf(
            \DOMElement::class,
            $found,
            "{$missing} on: ".preg_replace('/\s+/u', ' ', (string) $main),
        );

        return $found;
    }

    private static function quoted(string $text): string
    {
        return str_contains($text, '"') ? "'{$text}'" : "\"{$text}\"";
    }
}
